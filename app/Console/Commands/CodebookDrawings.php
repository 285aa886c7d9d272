<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Codebook\DrawingInks;
use App\Console\TextOptions;
use Core\CoreException;
use Core\Simulation\DrillDrawing;
use Core\Simulation\DrillScenes;
use Illuminate\Console\Command;

/** Draws every shipped drill: one picture of two to four moments each, for codebook, prescription and note. */
final class CodebookDrawings extends Command
{
    use TextOptions;

    protected $signature = 'codebook:drawings {--drill=* : of these only} '
        .'{--out= : a folder; public/drills where none is named}';

    protected $description = 'Every drill as two to four moments of the synthetic figure with what is used for it';

    /** @throws CoreException */
    public function handle(): int
    {
        $out = $this->text('out') !== '' ? $this->text('out') : public_path('drills');
        $only = array_filter((array) $this->option('drill'), is_string(...));
        if (! is_dir($out) && ! @mkdir($out, 0o755, true)) {
            $this->output->getErrorStyle()->writeln("$out cannot be written");

            return self::FAILURE;
        }
        foreach (DrillScenes::all() as $drill => $scene) {
            if ($only === [] || in_array($drill, $only, true)) {
                file_put_contents("$out/$drill.svg", view('drills.drawing', [
                    'drawing' => DrillDrawing::of($scene),
                    'attributes' => DrawingInks::ALL,
                ])->render());
            }
        }

        return self::SUCCESS;
    }
}
