<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Remark\RemarkCode;

/** What stands in for a quantity that is only had indirectly. */
enum Proxy: string implements RemarkCode
{
    case NetCop = 'proxy.net-cop';
    case ApparentWidth = 'proxy.apparent-width';
    case ApparentShoulders = 'proxy.apparent-shoulders';
    case TrailFootOutline = 'proxy.trail-foot-outline';
    case FeetOutline = 'proxy.feet-outline';
    case TiltOnFilm = 'proxy.tilt-on-film';
    case HipOnFilm = 'proxy.hip-on-film';
    case BendFaceOn = 'proxy.bend-face-on';
    case BendDownTheLine = 'proxy.bend-down-the-line';
    /** words: as the academy's codebook says it */
    case Stated = 'proxy.stated';
    /** rate_hz: of the trace */
    case SlowTrace = 'proxy.slow-trace';
    /** That a verdict came from one at all, for an uncertainty made wider by it. */
    case Any = 'proxy.any';
}
