<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Audit\RecordChain;
use App\Audit\RecordCheck;
use Illuminate\Console\Command;

/** Says whether the record is whole, and what of it was changed, taken out or put in. */
final class AuditVerify extends Command
{
    protected $signature = 'audit:verify
        {--end= : an end of the chain that was written down before, as POSITION:SEAL}';

    protected $description = 'Goes through the record of what was done: is anything changed, missing or put in?';

    public function handle(RecordCheck $check, RecordChain $chain): int
    {
        $end = $this->option('end');
        if (is_string($end) && preg_match('/^([1-9][0-9]{0,15}):([0-9a-f]{64})$/', $end, $m) !== 1) {
            $this->error((string) __('record.verify.no-end'));

            return self::INVALID;
        }
        while ($chain->seal() > 0) {
            continue;
        }
        $found = $check(isset($m[2]) ? [(int) $m[1], $m[2]] : null);
        $this->line(
            (string) __('record.verify.entries', ['entries' => $found['entries'], 'sealed' => $found['sealed']]),
        );
        foreach ($found['faults'] as $fault) {
            $this->error((string) __("record.verify.faults.{$fault['what']}", ['where' => $fault['where']]));
        }
        if ($found['faults'] !== []) {
            $this->line(
                trans_choice('record.verify.broken', count($found['faults']), ['count' => count($found['faults'])]),
            );

            return self::FAILURE;
        }
        $this->line((string) __('record.verify.whole', ['end' => implode(':', $found['end'])]));

        return self::SUCCESS;
    }
}
