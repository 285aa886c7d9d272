<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Codebook\Shown;
use Core\Motion\View;
use Core\Trace\DeviceClass;
use Core\Trace\Signal;

/** What is held of one swing, beside its measures. */
final class ShownJson
{
    /** @return array<string, mixed> */
    public static function write(Shown $shown): array
    {
        return [
            'device' => $shown->device?->value,
            'film' => $shown->film,
            'points' => $shown->points,
            'views' => array_map(static fn (View $v): string => $v->value, $shown->views),
            'rate_hz' => $shown->rateHz,
            'lost' => array_map(static fn (Signal $s): string => $s->value, $shown->lost),
            'stance' => $shown->stance,
            'mass' => $shown->mass,
            'foot_cop' => $shown->footCop,
            'flare' => $shown->flare,
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what write() makes */
    public static function read(mixed $data): Shown
    {
        $o = JsonObject::from($data, 'what is held');

        return new Shown(
            $o->optionalOne(DeviceClass::class, 'device'),
            $o->isTrue('film'),
            $o->isTrue('points'),
            array_map(
                static fn (string $v): View => View::tryFrom($v) ?? throw $o->wrong('views', 'unknown-name'),
                $o->texts('views'),
            ),
            $o->optionalNumber('rate_hz'),
            array_map(
                static fn (string $s): Signal => Signal::tryFrom($s) ?? throw $o->wrong('lost', 'unknown-name'),
                $o->texts('lost'),
            ),
            $o->isTrue('stance'),
            $o->isTrue('mass'),
            $o->isTrue('foot_cop'),
            $o->isTrue('flare'),
        );
    }
}
