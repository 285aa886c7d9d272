<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use Core\CoreException;
use Core\Simulation\DrillDrawing;
use Core\Simulation\DrillScenes;
use Illuminate\Console\Command;

/** Draws every shipped drill: one picture of two to four moments each, for codebook, prescription and note. */
final class CodebookDrawings extends Command
{
    use TextOptions;

    /** On paper; a page may give each part a colour of its own. */
    private const INKS = [
        'ground' => 'fill="none" stroke="#8c8472" stroke-width="10"',
        'lead' => 'fill="#1f6f78" stroke="#fffdf8" stroke-width="7"',
        'trail' => 'fill="#c98a2b" stroke="#fffdf8" stroke-width="7"',
        'trunk' => 'fill="#5d5870" stroke="#fffdf8" stroke-width="7"',
        'skin' => 'fill="#b08f6c" stroke="#fffdf8" stroke-width="7"',
        'club' => 'fill="#77728a"',
        'aid' => 'fill="#c0506c" stroke="#c0506c" stroke-width="24" stroke-linejoin="round" stroke-linecap="round"',
        'dashes' => 'fill="none" stroke="#c0506c" stroke-width="16" stroke-dasharray="46 34"',
        'way' => 'fill="#6b6b6b" stroke="#6b6b6b" stroke-width="22"',
        'ball' => 'fill="#fffdf8" stroke="#77728a" stroke-width="12"',
        'warning' => 'fill="none" stroke="#8c8472" stroke-width="14" stroke-dasharray="70 50"',
    ];

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
                    'attributes' => self::INKS,
                ])->render());
            }
        }

        return self::SUCCESS;
    }
}
