<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Remark\RemarkCode;

/** What a person should know of a live device’s clock. */
enum ClockDoubt: string implements RemarkCode
{
    /** by: a span */
    case Slow = 'device-clock.slow';
    /** by: a span */
    case Fast = 'device-clock.fast';
    /** rate_hz, stray_percent */
    case MoreSamples = 'device-clock.more-samples';
    /** rate_hz, stray_percent */
    case FewerSamples = 'device-clock.fewer-samples';
    /** n */
    case Days = 'device-clock.days';
    /** n */
    case Hours = 'device-clock.hours';
    /** n */
    case Minutes = 'device-clock.minutes';
    /** n */
    case Seconds = 'device-clock.seconds';
}
