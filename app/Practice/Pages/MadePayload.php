<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Bench\Pages\EvidencePayload;
use App\Models\MadeSwing;
use Core\Motion\View;
use Core\Trace\Trace;

/** What a page draws of a made swing: everything, for it is nobody's; and that it was made. */
final class MadePayload
{
    /** @return array<string, mixed> */
    public static function of(MadeSwing $made): array
    {
        $evidence = $made->evidence();
        /** @var Trace $trace a made swing has one */
        $trace = $evidence->trace;

        return [
            ...EvidencePayload::drawn(
                $made->spec['hand'],
                $trace->t0,
                ($trace->samples() - 1) / $trace->rateHz,
                $evidence->stations,
                $evidence->stance,
                $evidence->views->of(View::Points),
                [],
                $trace,
            ),
            'simulated' => true,
        ];
    }
}
