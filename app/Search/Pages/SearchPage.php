<?php

declare(strict_types=1);

namespace App\Search\Pages;

use App\Codebook\Codebooks;
use App\Http\Navigation;
use App\Models\Academy;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Glossary;
use App\Words\Like;
use App\Words\Term;
use Core\Codebook\Fault;
use Core\Measurement\Measure;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * What a person may go to whose name holds every word that was asked for: pages, rounds, golfers, recordings, people,
 * faults, measures and words. Whatever they may not see is not found, as if it were not there.
 *
 * @phpstan-type Hit array{name: string, note: string, url: string}
 */
final readonly class SearchPage
{
    /** So many of each kind; whoever wants more asks for more words. */
    private const MOST = 8;

    /** So many rounds are looked at, the newest. */
    private const ROUNDS = 60;

    public function __construct(
        private Onlookers $onlookers,
        private Codebooks $codebooks,
        private Glossary $glossary,
    ) {
    }

    /** @return array{asked: string, groups: list<array{name: string, hits: list<Hit>}>, says: string} */
    public function of(string $asked, User $user): array
    {
        $words = self::words($asked);
        $groups = [];
        if ($words !== []) {
            foreach ([
                'places' => self::places($words, $user),
                'rounds' => $this->rounds($words, $user),
                'golfers' => $this->golfers($words, $user),
                'recordings' => $this->recordings($words, $user),
                'people' => self::people($words, $user),
                'faults' => $this->faults($words),
                'measures' => self::measures($words),
                'words' => $this->glossary($words),
            ] as $kind => $hits) {
                if ($hits !== []) {
                    $groups[] = ['name' => (string) __("search.$kind"), 'hits' => array_slice($hits, 0, self::MOST)];
                }
            }
        }

        return [
            'asked' => $asked,
            'groups' => $groups,
            'says' => match (true) {
                $words === [] => (string) __('search.ask'),
                $groups === [] => (string) __('search.nothing', ['asked' => $asked]),
                default => trans_choice(
                    'search.found',
                    array_sum(array_map(static fn (array $g): int => count($g['hits']), $groups)),
                ),
            },
        ];
    }

    /** @return list<string> */
    private static function words(string $asked): array
    {
        return $asked === '' ? [] : array_values(array_unique(explode(' ', mb_strtolower($asked))));
    }

    /**
     * @param  list<string>  $words
     * @return bool whether a text holds every word
     */
    private static function holds(string $text, array $words): bool
    {
        $text = mb_strtolower($text);

        return array_filter($words, static fn (string $word): bool => ! str_contains($text, $word)) === [];
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private static function places(array $words, User $user): array
    {
        $out = [];
        foreach ((new Navigation($user))->pages() as $page) {
            if (self::holds($page['word'], $words)) {
                $out[] = ['name' => $page['word'], 'note' => '', 'url' => $page['url']];
            }
        }

        return $out;
    }

    /**
     * The head coach's by name; for others what is published to them.
     *
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function rounds(array $words, User $user): array
    {
        $gate = Gate::forUser($user);
        $out = [];
        $found = self::naming(Sitting::query(), 'name', $words)->withSeatOf($user)->orderByDesc('id');
        foreach ($found->limit(self::ROUNDS)->get() as $round) {
            $url = match (true) {
                $user->isHeadCoach() => route('rounds.show', $round),
                $gate->allows('viewResult', $round) => route('agreement', $round),
                $gate->allows('viewKey', $round) => route('panel', $round),
                default => null,
            };
            if ($url !== null) {
                $out[] = [
                    'name' => $round->name,
                    'note' => (string) __("search.states.{$round->state->value}"),
                    'url' => $url,
                ];
            }
        }

        return $out;
    }

    /**
     * Golfers of whom a recording may be seen, on the Shelf.
     *
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function golfers(array $words, User $user): array
    {
        if (! $user->isHeadCoach()) {
            return [];
        }
        $swings = $this->onlookers->of($user)->recordings()->select('recordings.golfer_id');

        return array_values(
            self::naming(Golfer::query(), 'pseudonym', $words)
                ->whereIn('id', $swings)
                ->orderBy('pseudonym')
                ->limit(self::MOST)
                ->get()
                ->map(static fn (Golfer $g): array => [
                    'name' => $g->pseudonym,
                    'note' => (string) __("search.hands.$g->handedness"),
                    'url' => route('shelf', ['find' => $g->pseudonym]),
                ])
                ->all(),
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function recordings(array $words, User $user): array
    {
        $query = Like::recordings($this->onlookers->of($user)->recordings()->with('golfer'), implode(' ', $words));

        return array_values(
            $query
                ->orderByDesc('id')
                ->limit(self::MOST)
                ->get()
                ->map(static fn (Recording $r): array => [
                    'name' => "{$r->golfer->pseudonym}, $r->club",
                    'note' => implode(', ', array_filter([
                        (string) $r->series,
                        Term::device($r->deviceClass()),
                        $r->created_at->timezone(Academy::zone())->format('j M Y'),
                    ], static fn (string $part): bool => $part !== '')),
                    'url' => route('bench', $r),
                ])
                ->all(),
        );
    }

    /**
     * People as a published round shows them: anybody to the head coach, oneself to oneself.
     *
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private static function people(array $words, User $user): array
    {
        $people = self::naming(User::query(), 'name', $words)
            ->when(! $user->isHeadCoach(), static fn (Builder $q) => $q->whereKey($user->id))
            ->orderBy('name')
            ->orderBy('id')
            ->limit(self::MOST)
            ->get();
        $rounds = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', SittingState::Published)
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->get();
        $seated = DB::table('seats')
            ->whereIn('user_id', $people->modelKeys())
            ->whereIn('sitting_id', $rounds->modelKeys())
            ->get(['user_id', 'sitting_id'])
            ->groupBy('user_id');
        $out = [];
        foreach ($people as $person) {
            $in = $seated->get($person->id)?->pluck('sitting_id');
            // Only the newest they sat in can be the first that may be seen.
            $round = $rounds->first(static fn (Sitting $r): bool => $in?->contains($r->id) === true &&
                Gate::forUser($user)->allows('viewPerson', [$r, $person]));
            if ($round !== null) {
                $out[] = [
                    'name' => $person->name,
                    'note' => $round->name,
                    'url' => route('agreement.person', [$round, $person->id]),
                ];
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function faults(array $words): array
    {
        $found = array_filter(
            $this->codebooks->current()->faults,
            static fn (Fault $f): bool => self::holds("$f->name $f->key {$f->station->value}", $words),
        );

        return array_values(array_map(static fn (Fault $f): array => [
            'name' => ucfirst($f->name),
            'note' => Term::station($f->station),
            'url' => route('codebook')."#$f->key",
        ], $found));
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private static function measures(array $words): array
    {
        $found = array_filter(
            Measure::cases(),
            static fn (Measure $m): bool => self::holds(Term::measure($m)." $m->value", $words),
        );

        return array_values(array_map(static fn (Measure $m): array => [
            'name' => ucfirst(Term::measure($m)),
            'note' => $m->unit(),
            'url' => route('codebook')."#m-$m->value",
        ], $found));
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function glossary(array $words): array
    {
        $out = [];
        foreach ($this->glossary->all() as $key => $entry) {
            if (self::holds($entry['word'], $words)) {
                $out[] = ['name' => $entry['word'], 'note' => $entry['means'], 'url' => route('codebook')."#w-$key"];
            }
        }

        return $out;
    }

    /**
     * @template M of \Illuminate\Database\Eloquent\Model
     *
     * @param  Builder<M>  $query
     * @param  list<string>  $words
     * @return Builder<M> those whose column holds every word
     */
    private static function naming(Builder $query, string $column, array $words): Builder
    {
        foreach ($words as $word) {
            $query->where($column, 'ilike', Like::holding($word));
        }

        return $query;
    }
}
