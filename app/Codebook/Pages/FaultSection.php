<?php

declare(strict_types=1);

namespace App\Codebook\Pages;

use App\Words\Term;
use App\Words\Wording;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Fault;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Trace\DeviceClass;

/**
 * What the codebook says of one fault under a lens, and on what it can be seen.
 *
 * @phpstan-type FaultFacts array{key: string, name: string, station: string, shows: string, where: string,
 *     look: bool, differs: bool, url: string, facts: array<string, string>,
 *     seen: list<array{grade: string, hint: string, says: string}>}
 */
final readonly class FaultSection
{
    public function __construct(private Wording $words)
    {
    }

    /** @return FaultFacts */
    public function of(Fault $f, CodebookDocument $document): array
    {
        return [
            'key' => $f->key,
            'name' => ucfirst($f->name),
            'station' => $f->station->value,
            'shows' => (string) __('codebook.shows-at', ['station' => Term::station($f->station)]),
            'where' => Term::station($f->station),
            // A codebook of one's own may hold faults that no golfer was made of.
            'look' => is_file(public_path("looks/$f->key.json")),
            'differs' => $document->differingOn($f->key) !== [],
            'url' => route('codebook.fault', $f->key),
            'facts' => self::worded('codebook.fault', [
                'look-for' => $f->lookFor,
                'in-the-trace' => $f->inTheTrace,
                'supported' => $this->words->said($f->supported->remark()),
                'contradicted' => $this->words->said($f->contradicted->remark()),
                'confused' => implode(', ', $f->confusedWith),
                'counter-example' => $f->counterExample,
                'misses' => implode(', ', $f->misses),
                'cause' => $f->cause,
                'consequence' => $f->consequence,
                'disagreement' => $f->disagreement,
            ]),
            'seen' => $this->seen($f),
        ];
    }

    /** @return list<array{grade: string, hint: string, says: string}> on what it can be seen */
    private function seen(Fault $fault): array
    {
        $out = [];
        foreach ([
            'film' => new Shown(null, true),
            'mat' => new Shown(DeviceClass::Mat, false),
            'plate' => new Shown(DeviceClass::Plate, false),
            'dual-plate' => new Shown(DeviceClass::DualPlate, false),
            'film-and-plates' => new Shown(DeviceClass::DualPlate, true),
            'points' => new Shown(null, false, true),
        ] as $name => $shown) {
            $observability = $fault->observability($shown);
            $proxy = $fault->proxy($shown);
            $out[] = [
                'grade' => match ($observability) {
                    Observability::Observable => 'verified',
                    Observability::Indirect => 'borderline',
                    Observability::NotObservable => 'contested',
                },
                'hint' => $proxy === null ? '' : $this->words->said($proxy),
                'says' => __("codebook.evidence.$name").': '.__("codebook.observability.$observability->value"),
            ];
        }

        return $out;
    }

    /**
     * @param  array<string, string|null>  $facts  by the line that names each
     * @return array<string, string> by name, those that say something
     */
    public static function worded(string $of, array $facts): array
    {
        $out = [];
        foreach ($facts as $name => $says) {
            if ($says !== null && $says !== '') {
                $out[(string) __("$of.$name")] = $says;
            }
        }

        return $out;
    }
}
