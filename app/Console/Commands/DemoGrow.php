<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\GrowDemo;
use App\Models\Sitting;
use App\Models\User;
use Illuminate\Console\Command;

/** Lays five years beside the demo, to see what the application does with them. */
final class DemoGrow extends Command
{
    protected $signature = 'demo:grow {--scale=1 : 0.5 for half of five years}';

    protected $description = 'Add five invented years to a demo database: people, recordings, rounds, the record';

    public function handle(GrowDemo $grow): int
    {
        $scale = $this->option('scale');
        if (! is_numeric($scale) || $scale < 0.01 || $scale > 10) {
            $this->error('--scale must lie between 0.01 and 10');

            return self::FAILURE;
        }
        if (User::query()->doesntExist() || Sitting::query()->where('name', 'Panel study 1')->exists()) {
            $this->error('The database has no demo, or has grown already; nothing was added.');

            return self::FAILURE;
        }
        $from = microtime(true);
        $grow((float) $scale, function (string $done) use ($from): void {
            $this->line(sprintf('%6.1f s  %s', microtime(true) - $from, $done));
        });

        return self::SUCCESS;
    }
}
