<?php

declare(strict_types=1);

namespace Core\Reading;

/** How far back the arms went. */
enum SwingSize: string
{
    case Full = 'full';
    case ThreeQuarter = 'three-quarter';
    case Half = 'half';
    case Short = 'short';
}
