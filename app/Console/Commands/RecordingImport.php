<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ActionException;
use App\Actions\ImportTraceFile;
use App\Console\TextOptions;
use App\Models\Golfer;
use Core\Format\FormatException;
use Core\Trace\DeviceClass;
use Illuminate\Console\Command;

final class RecordingImport extends Command
{
    use TextOptions;

    protected $signature = 'recording:import {file : trace CSV}
        {--meta= : side-car JSON} {--golfer= : pseudonym of a golfer with consent} {--device= : mat, plate or dual-plate}';

    protected $description = 'Put a recorded trace on the Shelf';

    public function handle(ImportTraceFile $import): int
    {
        $file = $this->text('file');
        $meta = $this->given('meta');
        $device = $this->given('device');
        foreach (array_filter([$file, $meta]) as $path) {
            if (! is_file($path)) {
                return $this->refuse("$path: there is no such file");
            }
        }
        $golfer = Golfer::query()->with('consents')->where('pseudonym', $this->text('golfer'))->first();
        if ($golfer === null) {
            return $this->refuse('--golfer must name a golfer on the Shelf; known: '.Golfer::query()->orderBy('pseudonym')->pluck('pseudonym')->join(', '));
        }
        if ($device !== null && DeviceClass::tryFrom($device) === null) {
            return $this->refuse("--device is '$device', not mat, plate or dual-plate");
        }
        try {
            $recording = $import($golfer, $file, basename($file), $meta === null ? null : ['path' => $meta, 'name' => basename($meta)], $device === null ? null : DeviceClass::from($device));
        } catch (FormatException|ActionException $e) {
            return $this->refuse($e->getMessage());
        }
        $this->line("stored as recording {$recording->public_id}");

        return self::SUCCESS;
    }

    private function refuse(string $why): int
    {
        $this->output->getErrorStyle()->writeln($why);

        return self::FAILURE;
    }
}
