<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Figure;
use Core\Agreement\Profile\LetterPoints;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Study\RaterResult;
use Core\Codebook\Codebook;
use Core\Number\Written;
use Illuminate\Support\Str;

/** A letter to one instructor about one round: what is seen well, what to look at next, and what cannot be said yet. */
final readonly class LetterPage
{
    public function __construct(
        private PersonPage $person,
        private Codebooks $codebooks,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $person, User $asking): array
    {
        $codebook = $this->codebooks->of($round);
        $profile = $this->person->record($round, $person, $asking);
        $points = LetterPoints::of($profile);
        $withheld = $this->onlookers->of($asking)->withheld($round) !== null;

        return [
            'round' => $round,
            'person' => $person,
            'academy' => Academy::query()->find(Academy::ID)->letterhead ?? '',
            'first' => Str::before($person->name, ' '),
            'day' => $round->published_at?->timezone(Academy::zone())->format('j F Y') ?? '',
            'calls' => count($profile->calls),
            'well' => array_map(static fn (array $w): string => (string) __('letter.well-line', [
                'fault' => $codebook->faults[$w['item']]->name ?? $w['item'],
                'seen' => $w['seen'],
                'there' => $w['there'],
                'low' => Written::fixed(100.0 * $w['low'], 0),
            ]), $points->well),
            'next' => array_map(fn (array $n): array => $this->next($n, $round, $codebook, $asking), $points->next),
            'times' => $withheld ? [] : self::times($round, $person),
            'drills' => $withheld ? '' : self::drills($round, $person),
            'unsaid' => self::unsaid($points->unsaid, $codebook),
            'withheld' => $withheld,
        ];
    }

    /**
     * @param  array{item: string, missed: int, over: int, calls: list<ScoredCall>}  $n
     * @return array{says: string, lookFor: string, cases: list<array{says: string, url: ?string}>}
     */
    private function next(array $n, Sitting $round, Codebook $codebook, User $asking): array
    {
        $fault = $codebook->faults[$n['item']] ?? null;
        $ids = array_map(static fn (ScoredCall $c): int => (int) Str::afterLast($c->case, 'c'), $n['calls']);
        $cases = $round->cases()
            ->where('occasion', 1)
            ->whereIn('case_id', $ids)
            ->with('recording.golfer')
            ->get()
            ->keyBy('case_id');
        $onlooker = $this->onlookers->of($asking);
        $look = [];
        foreach ($n['calls'] as $i => $call) {
            /** @var SittingCase|null $case */
            $case = $cases->get($ids[$i]);
            if ($case !== null) {
                $look[] = [
                    'says' => (string) __($call->truth ? 'letter.was-missed' : 'letter.was-over', [
                        'swing' => $case->recording->called(),
                    ]),
                    'url' => $onlooker->sees($case->recording) ? route('bench', $case->recording) : null,
                ];
            }
        }

        return [
            'says' => (string) __(match (true) {
                $n['over'] === 0 => 'letter.missed',
                $n['missed'] === 0 => 'letter.over',
                default => 'letter.both',
            }, ['fault' => ucfirst($fault->name ?? $n['item']), 'missed' => $n['missed'], 'over' => $n['over']]),
            'lookFor' => $fault === null ? '' : ucfirst($fault->lookFor).'.',
            'cases' => $look,
        ];
    }

    /** @return list<string> how far the own marks of top and impact lie from the recording's, on average */
    private static function times(Sitting $round, User $person): array
    {
        $out = [];
        foreach (KeptFigures::ofRound($round)->times() ?? [] as $times) {
            $own = array_column($times->people, null, 'rater')["u$person->id"] ?? null;
            $bias = $own instanceof RaterResult ? $own->figures['bias'] ?? null : null;
            if ($bias instanceof Figure && $bias->estimate !== null) {
                $out[] = (string) __('letter.time', [
                    'station' => ucfirst((string) __("stations.names.{$times->station->value}")),
                    'ms' => Written::fixed(abs($bias->estimate), 0),
                    'side' => __($bias->estimate < 0.0 ? 'letter.early' : 'letter.late'),
                    'n' => $own->n,
                ]);
            }
        }

        return $out;
    }

    private static function drills(Sitting $round, User $person): string
    {
        $advice = KeptFigures::ofRound($round)->advice();
        $own = array_column($advice->beside ?? [], null, 'rater')["u$person->id"] ?? null;
        $share = static fn (string $what): ?float => ($own->figures[$what] ?? null)?->estimate;
        if ($share('helps') === null) {
            return (string) __('letter.no-drills');
        }
        $percent = static fn (?float $v): string => Written::fixed(100.0 * ($v ?? 0.0), 0);

        return (string) __('letter.drills', [
            'helps' => $percent($share('helps')),
            'harms' => $percent($share('harms')),
            'unsafe' => $percent($share('unsafe')),
        ]);
    }

    /** @param  list<string>  $items */
    private static function unsaid(array $items, Codebook $codebook): string
    {
        return $items === [] ? '' : (string) __('letter.unsaid-line', [
            'times' => LetterPoints::THERE,
            'faults' => implode(', ', array_map(
                static fn (string $item): string => $codebook->faults[$item]->name ?? $item,
                $items,
            )),
        ]);
    }
}
