<?php

declare(strict_types=1);

namespace App\Practice;

use Core\Training\Mode;
use Illuminate\Contracts\Container\Container;

/** The kinds of questions there are. */
final readonly class Modes
{
    private const OF = [
        Mode::Fault->value => IsItThere::class,
        Mode::Alike->value => WhichOfTwo::class,
        Mode::Moment->value => ToTheFrame::class,
        Mode::Seen->value => CanItBeSeen::class,
        Mode::Advice->value => WhatHelps::class,
        Mode::Artefact->value => GolferOrInstrument::class,
        Mode::Speed->value => EasyAndFull::class,
        Mode::Whole->value => WholeCase::class,
    ];

    public function __construct(private Container $container)
    {
    }

    public function of(Mode $mode): PracticeMode
    {
        return $this->container->make(self::OF[$mode->value]);
    }
}
