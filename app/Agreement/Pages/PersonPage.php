<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Codebook\Codebooks;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Figure;
use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Study\PersonResult;
use Core\Agreement\Undefined;
use Core\Codebook\Codebook;
use Core\Number\Written;
use Core\Sight\SittingKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;

/**
 * One person's calls of a published round against its key: what they see, miss and over-call, whether their confidence
 * holds, and whether they moved over all published rounds. Somebody who still has to read a recording blind elsewhere
 * is told nothing of it.
 *
 * @phpstan-type FaultRow array{key: string, name: string, station: string, cells: array{int, int, int, int},
 *     there: int, not: int, hits: Figure, right: Figure}
 */
final readonly class PersonPage
{
    /** Surer or less sure than right by less than this is as sure as right. */
    private const EVEN = 0.03;

    public function __construct(
        private Codebooks $codebooks,
        private PersonCalls $calls,
        private PersonMistakes $mistakes,
        private PersonDrift $drift,
        private PersonWithoutKey $withoutKey,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $person, User $asking): array
    {
        $codebook = $this->codebooks->of($round);
        $rounds = self::rounds($person);
        $kept = $this->calls->ofPerson($rounds, $person, $asking);
        $profile = new RaterProfile(PersonCalls::all($kept[$round->id]->calls ?? []));
        $figures = $profile->figures();
        $own = $person->is($asking);
        $said = ['name' => $own ? '' : Str::before($person->name, ' '), 'whose' => $own ? 'own' : 'other'];

        return [
            'round' => $round,
            'person' => $person,
            'whose' => $said['whose'],
            'n' => count($profile->calls),
            'title' => self::title($profile, $figures['criterion'], $person, $said['whose']),
            'about' => $this->about($round, $person, $profile, $said['whose']),
            'tiles' => self::tiles($figures),
            'faults' => self::faults($profile, $codebook),
            'first' => Str::before($person->name, ' '),
            'calibration' => $profile->calibration(),
            'calibrationRows' => self::calibrationRows($profile),
            'calibrated' => self::calibrated($profile->swagger()),
            'swagger' => $profile->swagger(),
            'advice' => $this->advice($round, $person, $asking),
            'twice' => $this->onlookers->of($asking)->withheld($round) === null
                ? AgreementAgain::ofPerson($round, KeptFigures::ofRound($round), $person->id)
                : [],
            'surest' => self::surest($kept[$round->id]->curve ?? null, $said['whose']),
            ...$this->mistakes->of($round, $profile, $codebook),
            ...$this->drift->of($rounds, self::over($rounds, $kept), $said),
            ...$this->withoutKey->of($kept[$round->id]->latent ?? null, $figures, $said, $profile->calls !== []),
        ];
    }

    /** What the page is made from, without what waits for a reading of the one who asks. */
    public function record(Sitting $round, User $person, User $asking): RaterProfile
    {
        $kept = $this->calls->ofPerson(collect([$round]), $person, $asking);

        return new RaterProfile(PersonCalls::all($kept[$round->id]->calls ?? []));
    }

    /** @return Collection<int, Sitting> every published round this person was in, in order */
    private static function rounds(User $person): Collection
    {
        return Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->whereHas('members', static fn ($q) => $q->whereKey($person->id))
            ->orderBy('published_at')
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  Collection<int, Sitting>  $rounds
     * @param  array<int, PersonResult>  $kept  by round
     */
    private static function over(Collection $rounds, array $kept): RaterProfile
    {
        return new RaterProfile(
            array_merge(
                ...array_values(
                    $rounds
                        ->map(static fn (Sitting $round): array => PersonCalls::all($kept[$round->id]->calls ?? []))
                        ->all(),
                ),
            ),
        );
    }

    private static function title(RaterProfile $profile, Figure $criterion, User $person, string $whose): string
    {
        $name = $person->name;
        if ($profile->calls === []) {
            return (string) __("agreement.person.$whose.not-scored", compact('name'));
        }
        $lean = match (true) {
            $criterion->low === null || $criterion->high === null => 'scored',
            $criterion->low > 0.0 => 'under',
            $criterion->high < 0.0 => 'over',
            default => 'even',
        };
        $swagger = $profile->swagger();
        $says = __("agreement.person.$whose.lean.$lean", ['name' => $name, 'n' => count($profile->calls)]);

        return $swagger === null
            ? (string) $says
            : (string) __("agreement.person.$whose.sure.".self::sureness($swagger), ['lean' => $says]);
    }

    /** @return list<string> what the figures are, sentence by sentence */
    private function about(Sitting $round, User $person, RaterProfile $profile, string $whose): array
    {
        $n = count($profile->calls);
        $says = [trans_choice('agreement.person.about', $n, ['count' => $n, 'round' => $round->name])];
        if ($round->keyVersion?->sitting->members()->whereKey($person->id)->exists() === true) {
            $says[] = __('agreement.person.unscored');
        }
        if ($whose === 'own' && $n > 0) {
            $says[] = __('agreement.person.waiting');
        }

        return array_map(strval(...), $says);
    }

    /** @return 'even'|'surer'|'less' */
    private static function sureness(float $swagger): string
    {
        return abs($swagger) < self::EVEN ? 'even' : ($swagger > 0.0 ? 'surer' : 'less');
    }

    private static function calibrated(?float $swagger): string
    {
        return $swagger === null
            ? ''
            : (string) __('agreement.person.calibrated.'.self::sureness($swagger), [
                'points' => (int) round(100.0 * abs($swagger)),
            ]);
    }

    /**
     * @param  array<string, Figure>  $figures
     * @return list<array{value: string, label: string, figure: Figure, note: string}>
     */
    private static function tiles(array $figures): array
    {
        $out = [];
        foreach (['sensitivity' => 0, 'specificity' => 0, 'criterion' => 2, 'brier' => 3] as $name => $digits) {
            $f = $figures[$name];
            $written = static fn (?float $v): string => match (true) {
                $v === null => (string) __('figures.none'),
                $digits === 0 => Written::fixed(100.0 * $v, 0).' %',
                default => Written::fixed($v, $digits),
            };
            $out[] = [
                'value' => $written($f->estimate),
                'label' => (string) __("agreement.person.tiles.$name"),
                'figure' => $f,
                'note' => $f->low === null ? '' : $written($f->low).__('figures.to').$written($f->high),
            ];
        }

        return $out;
    }

    /** @return list<array{said: string, n: int, right: int, share: string, interval: string}> */
    private static function calibrationRows(RaterProfile $profile): array
    {
        $percent = static fn (float $share): string => Written::fixed(100.0 * $share, 0).' %';

        return array_map(
            static fn (array $point): array => [
                'said' => $percent($point['p']),
                'n' => $point['n'],
                'right' => $point['true'],
                'share' => $percent($point['share']),
                'interval' => $percent($point['low']).__('figures.to').$percent($point['high']),
            ],
            $profile->calibration(),
        );
    }

    /**
     * What this person would do beside what the panel would, and the misses beside the balls. It cannot be taken apart
     * by case: where one waits to be read blind nothing of it is told.
     *
     * @return list<array{name: string, figure: Figure, percent: bool}>
     */
    private function advice(Sitting $round, User $person, User $asking): array
    {
        $advice = $this->onlookers->of($asking)->withheld($round) === null
            ? KeptFigures::ofRound($round)->advice()
            : null;
        $own = array_column($advice->beside ?? [], null, 'rater')["u$person->id"] ?? null;
        $out = [];
        foreach ($own->figures ?? [] as $name => $figure) {
            if ($figure->estimate !== null) {
                $out[] = [
                    'name' => ucfirst((string) __("agreement.advice.beside.$name")),
                    'figure' => $figure,
                    'percent' => $name !== 'miss',
                ];
            }
        }

        return $out;
    }

    /**
     * How right in the surest part of the questions, beside colleagues at the same share.
     *
     * @return array{says: string, rows: list<array{part: string, right: string, others: string}>}|null
     */
    private static function surest(?AnsweredCurve $curve, string $whose): ?array
    {
        if ($curve === null) {
            return null;
        }
        $percent = static fn (?float $v): string => $v === null
            ? (string) __('figures.none')
            : Written::fixed(100.0 * $v, 0).' %';
        $rows = [];
        foreach ($curve->right as $share => $right) {
            $rows[] = [
                'part' => (string) __($share === 100 ? 'agreement.person.surest.all' : 'agreement.person.surest.part', [
                    'share' => "$share %",
                ]),
                'right' => $percent($right),
                'others' => $percent($curve->others[$share] ?? null),
            ];
        }

        return [
            'says' => (string) __("agreement.person.surest.$whose", [
                'answered' => $curve->answered,
                'questions' => $curve->questions,
                'half' => $percent($curve->half),
            ]),
            'rows' => $rows,
        ];
    }

    /** @return list<FaultRow> the most wrong calls first */
    private static function faults(RaterProfile $profile, Codebook $codebook): array
    {
        $out = [];
        foreach ($profile->byItem() as $key => [$tp, $fn, $fp, $tn]) {
            $fault = $codebook->faults[$key];
            $figures = $profile->figures(item: $key);
            $out[] = [
                'key' => $key,
                'name' => $fault->name,
                'station' => $fault->station->value,
                'cells' => [$tp, $fn, $fp, $tn],
                'there' => $tp + $fn,
                'not' => $fp + $tn,
                'hits' => $tp + $fn === 0 ? Figure::undefined(Undefined::NeverThere) : $figures['sensitivity'],
                'right' => $fp + $tn === 0 ? Figure::undefined(Undefined::AlwaysThere) : $figures['specificity'],
            ];
        }
        usort($out, static fn (array $a, array $b): int => [
            $b['cells'][1] + $b['cells'][2],
            $a['key'],
        ] <=> [$a['cells'][1] + $a['cells'][2], $b['key']]);

        return $out;
    }
}
