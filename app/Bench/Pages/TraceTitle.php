<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;

/** What stands above a recording's trace: what is drawn, and what it was made from. */
final class TraceTitle
{
    public static function ofRecording(Recording $recording): string
    {
        $parts = [__('stage.trace.share')];
        if ($recording->device_class === 'plate') {
            $parts[] = __('stage.trace.derived');
        }
        $title = implode(', ', array_map(strval(...), $parts));

        return $recording->deviceClass()->measuresForce() ? "$title · ".__('stage.trace.force') : $title;
    }
}
