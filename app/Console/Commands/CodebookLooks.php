<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use App\Words\Term;
use Core\CoreException;
use Core\Simulation\FaultLook;
use Core\Simulation\Plant;
use Illuminate\Console\Command;

/** Makes what the codebook's page shows of every fault: one file a fault, and one of the golfer who has none. */
final class CodebookLooks extends Command
{
    use TextOptions;

    protected $signature = 'codebook:looks {--fault=* : of these only} '
        .'{--out= : a folder; public/looks where none is named}';

    protected $description = 'The simulated golfer without and with every fault, for the codebook to be looked at';

    public function handle(): int
    {
        $out = $this->text('out') !== '' ? $this->text('out') : public_path('looks');
        $only = array_filter((array) $this->option('fault'), is_string(...));
        if (! is_dir($out) && ! @mkdir($out, 0o755, true)) {
            $this->output->getErrorStyle()->writeln("$out cannot be written");

            return self::FAILURE;
        }
        self::write("$out/without.json", ['stance' => FaultLook::stance(), ...FaultLook::without()]);
        foreach ($only === [] ? Plant::FAULTS : $only as $fault) {
            // What is shown as a fault must be one by its own rules.
            if (! FaultLook::isThere($fault)) {
                $this->output->getErrorStyle()->writeln("$fault is not there in what would be shown of it");

                return self::FAILURE;
            }
            self::write("$out/$fault.json", self::look($fault));
        }

        return self::SUCCESS;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws CoreException
     */
    private static function look(string $fault): array
    {
        $look = FaultLook::of($fault);
        $curve = $look['curve'];

        return $curve === null
            ? $look
            : [...$look, 'curve' => [...$curve, 'says' => ucfirst(Term::curve($curve['name']))]];
    }

    /** @param  array<string, mixed>  $data */
    private static function write(string $file, array $data): void
    {
        file_put_contents($file, json_encode($data, JSON_THROW_ON_ERROR)."\n");
    }
}
