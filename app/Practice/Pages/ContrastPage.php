<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Codebook\Codebooks;
use App\Models\ContrastSet;
use App\Models\User;
use App\Words\Term;
use Core\Codebook\StandardLenses;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Simulation\Plant;
use Core\Trace\DeviceClass;

/** Contrast sets: those that are made, and the way to another. */
final readonly class ContrastPage
{
    /** So many of the newest are listed. */
    private const LISTED = 40;

    public function __construct(private Codebooks $codebooks, private ContrastTitles $titles)
    {
    }

    /** @return array<string, mixed> */
    public function of(User $user): array
    {
        $document = $this->codebooks->document();
        $faults = [];
        foreach (array_keys($document->lenses()) as $lens) {
            foreach ($this->codebooks->current($lens)->faults as $key => $fault) {
                if (in_array($key, Plant::FAULTS, true)) {
                    $faults[$key] ??= ucfirst($fault->name);
                }
            }
        }

        return [
            'sets' => array_values(ContrastSet::query()
                ->orderByDesc('id')
                ->limit(self::LISTED)
                ->get()
                ->map(fn (ContrastSet $set): array => [
                    'url' => route('contrast.show', $set),
                    'title' => $this->titles->of($set),
                    'about' => implode(' · ', [
                        (string) __("bench.about.hand.{$set->hand->value}"),
                        Term::device($set->device),
                        $document->lenses()[$set->lens] ?? $set->lens,
                    ]),
                    'making' => $set->made_at === null,
                ])
                ->all()),
            'kinds' => self::named(ContrastKind::cases(), 'practice.contrast.kinds'),
            'faults' => $faults,
            'mishaps' => array_map(
                static fn (string $code): string => ucfirst((string) __("practice.artefact.mishaps.$code.name")),
                array_combine(array_keys(Spec::MISTAKEN), array_keys(Spec::MISTAKEN)),
            ),
            'devices' => array_combine(
                array_column(DeviceClass::cases(), 'value'),
                array_map(Term::device(...), DeviceClass::cases()),
            ),
            'hands' => self::named(Handedness::cases(), 'bench.about.hand'),
            'lenses' => $document->lenses(),
            'lens' => StandardLenses::DEFAULT,
        ];
    }

    /**
     * @param  array<\BackedEnum>  $cases
     * @return array<string, string>
     */
    private static function named(array $cases, string $words): array
    {
        $out = [];
        foreach ($cases as $case) {
            $out[(string) $case->value] = (string) __("$words.$case->value");
        }

        return $out;
    }
}
