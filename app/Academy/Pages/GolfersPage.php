<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Academy\Pseudonyms;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Like;
use App\Words\Term;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** Whose swings the academy holds: what they agree to, what their bodies are to be spared. */
final readonly class GolfersPage
{
    private const A_PAGE = 40;

    private const SUGGESTED = 6;

    public function __construct(private Pseudonyms $pseudonyms, private Onlookers $onlookers)
    {
    }

    /**
     * @param  array{find: string, consent: string}  $filter
     * @return array<string, mixed>
     */
    public function of(array $filter, User $user): array
    {
        $golfers = Golfer::query()
            ->whereNull('erased_at')
            ->with(['consents', 'limitsInForce'])
            ->when($filter['find'] !== '', static fn (Builder $q) => $q
                ->where('pseudonym', 'ilike', Like::holding($filter['find'])))
            ->when($filter['consent'] === 'none', static fn (Builder $q) => $q
                ->whereNot(static fn (Builder $g) => $g->consenting(...Scope::cases())))
            ->when($filter['consent'] === 'ending', static fn (Builder $q) => $q
                ->whereKey(array_keys(Consent::ending(60))))
            ->orderBy('pseudonym')
            ->paginate(self::A_PAGE)
            ->withQueryString();
        $list = array_values($golfers->items());
        $swings = $this->swings($list, $user);

        return [
            'filter' => $filter,
            'pages' => $golfers,
            'golfers' => array_map(static fn (Golfer $g): array => self::row($g, $swings[$g->id] ?? 0), $list),
            'scopes' => array_column(Scope::cases(), 'value'),
            'today' => Academy::today(),
            'inAYear' => Carbon::parse(Academy::today())->addYear()->toDateString(),
            'suggested' => $this->pseudonyms->free(self::SUGGESTED, now()->toDateString()),
        ];
    }

    /**
     * @return array{id: int, name: string, hand: string, minor: bool, limits: string, consents: string, quiet: bool,
     *     swings: int}
     */
    private static function row(Golfer $g, int $swings): array
    {
        $scopes = array_filter(Scope::cases(), static fn (Scope $s): bool => $g->consentsTo($s));

        return [
            'id' => $g->id,
            'name' => $g->pseudonym,
            'hand' => $g->handedness,
            'minor' => $g->mayBeMinor(),
            'limits' => Term::limits($g) ?? '',
            'consents' => $scopes === []
                ? (string) __('golfers.no-consent')
                : implode(', ', array_map(static fn (Scope $s): string => (string) __("golfers.scopes.$s->value"),
                    $scopes)),
            'quiet' => $scopes === [],
            'swings' => $swings,
        ];
    }

    /**
     * How many of each golfer's swings this person may see: a hidden one is not counted either.
     *
     * @param  list<Golfer>  $golfers
     * @return array<int, int>
     */
    private function swings(array $golfers, User $user): array
    {
        $out = [];
        $rows = $this->onlookers->of($user)->recordings()
            ->whereIn('golfer_id', array_map(static fn (Golfer $g): int => $g->id, $golfers))
            ->groupBy('golfer_id')
            ->selectRaw('golfer_id, count(*) as n')
            ->toBase()
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->golfer_id)] = Cell::int($row->n);
        }

        return $out;
    }
}
