<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Shelf\Actions\ImportTraceFile;
use Core\CoreException;
use Core\Trace\DeviceClass;
use Illuminate\Console\Command;

final class RecordingImport extends Command
{
    use TextOptions;

    protected $signature = 'recording:import {file : trace CSV, recording bundle or C3D} {--meta= : side-car JSON}
        {--golfer= : pseudonym of a golfer with consent} {--device= : mat, plate or dual-plate}
        {--target=+x : for C3D, the laboratory axis that points to the target}
        {--series= : name of the series it belongs to} {--cold : one of the first swings of its series}';

    protected $description = 'Put a recorded trace on the Shelf';

    public function handle(ImportTraceFile $import): int
    {
        $file = $this->text('file');
        $meta = $this->given('meta');
        $device = $this->given('device');
        foreach (array_filter([$file, $meta], is_string(...)) as $path) {
            if (! is_file($path)) {
                return $this->refuse("$path: there is no such file");
            }
        }
        $golfer = Golfer::query()->with('consents')->where('pseudonym', $this->text('golfer'))->first();
        if ($golfer === null) {
            return $this->refuse(
                '--golfer must name a golfer on the Shelf; known: '.
                    implode(', ', array_map(
                        Cell::text(...),
                        Golfer::query()->orderBy('pseudonym')->pluck('pseudonym')->all(),
                    )),
            );
        }
        if ($device !== null && DeviceClass::tryFrom($device) === null) {
            return $this->refuse("--device is '$device', not mat, plate or dual-plate");
        }
        $target = $this->text('target');
        if (! in_array($target, ['+x', '-x', '+y', '-y'], true)) {
            return $this->refuse("--target is '$target', not +x, -x, +y or -y");
        }
        try {
            $recording = $import(
                $golfer,
                $file,
                basename($file),
                $meta === null ? null : ['path' => $meta, 'name' => basename($meta)],
                $device === null ? null : DeviceClass::from($device),
                null,
                $target,
                $this->given('series'),
                (bool) $this->option('cold'),
            );
        } catch (CoreException|ActionException $e) {
            return $this->refuse(Refusal::sentenceOf($e));
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
