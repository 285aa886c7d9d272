<?php

declare(strict_types=1);

namespace App\Codebook;

/** How the parts of drawn figures are inked on paper; a page may give each part a colour of its own. */
final class DrawingInks
{
    /** @var array<string, string> attributes of an SVG's path, by part */
    public const ALL = [
        'ground' => 'fill="none" stroke="#8c8472" stroke-width="10"',
        'lead' => 'fill="#1f6f78" stroke="#fffdf8" stroke-width="7"',
        'trail' => 'fill="#c98a2b" stroke="#fffdf8" stroke-width="7"',
        'trunk' => 'fill="#5d5870" stroke="#fffdf8" stroke-width="7"',
        'skin' => 'fill="#b08f6c" stroke="#fffdf8" stroke-width="7"',
        'club' => 'fill="#77728a"',
        'aid' => 'fill="#c0506c" stroke="#c0506c" stroke-width="24" stroke-linejoin="round" stroke-linecap="round"',
        'dashes' => 'fill="none" stroke="#c0506c" stroke-width="16" stroke-dasharray="46 34"',
        'way' => 'fill="#6b6b6b" stroke="#6b6b6b" stroke-width="22"',
        'ball' => 'fill="#fffdf8" stroke="#77728a" stroke-width="12"',
        'plumb' => 'fill="none" stroke="#c0506c" stroke-width="9" stroke-dasharray="40 26"',
        'warning' => 'fill="none" stroke="#8c8472" stroke-width="14" stroke-dasharray="70 50"',
    ];
}
