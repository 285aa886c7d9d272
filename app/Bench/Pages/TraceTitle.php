<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use Core\Trace\DeviceClass;

/** What stands above a recording's trace: what is drawn, and what it was made from. */
final class TraceTitle
{
    public static function ofRecording(Recording $recording): string
    {
        return self::of($recording->deviceClass());
    }

    public static function of(DeviceClass $device): string
    {
        $parts = [__('stage.trace.share')];
        if ($device === DeviceClass::Plate) {
            $parts[] = __('stage.trace.derived');
        }
        $title = implode(', ', array_map(strval(...), $parts));

        return $device->measuresForce() ? "$title · ".__('stage.trace.force') : $title;
    }
}
