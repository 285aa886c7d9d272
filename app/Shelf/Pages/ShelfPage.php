<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Like;
use App\Words\Term;
use App\Words\Wording;
use Core\Measurement\QualityNote;
use Core\Sight\Scope;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** The recordings by golfer and session, each with the shape of its trace. */
final readonly class ShelfPage
{
    private const SESSIONS_A_PAGE = 12;

    /** Of what was measured only what a list shows. */
    private const BRIEF = ['id', 'recording_id', 'quality', 'shape', 'supported'];

    /** How sessions can be ordered; the first is what is meant where nothing is asked. */
    public const ORDERS = ['newest', 'golfer', 'club'];

    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers, private Wording $words)
    {
    }

    /**
     * @param  array<string, string>  $filter  club, hand, device, fault, find, order; a valid one of each, or none
     * @return array<string, mixed>
     */
    public function of(array $filter, User $user): array
    {
        $seen = $this->onlookers->of($user)->recordings();
        $fitting = $this->filtered(clone $seen, $filter);
        $pages = $this->sessions(clone $fitting, $filter['order'] ?? self::ORDERS[0]);
        $total = (clone $seen)->count();
        $ended = $this->ended();

        return [
            'sessions' => $this->shown($pages),
            'pages' => $pages->withQueryString(),
            'title' => $this->title((clone $fitting)->count(), $total, $pages->total()),
            'ended' => $ended === 0 ? null : trans_choice('shelf.ended', $ended, ['count' => $ended]),
            'nothing' => __($total > 0 ? 'shelf.nothing-fits' : 'shelf.empty'),
            'filter' => $filter,
            'choices' => FactsPage::choices(),
            'fields' => $this->fields(clone $seen, $filter),
            'golfers' => Golfer::query()->consenting(Scope::Lessons, Scope::StaffTraining)->orderBy('pseudonym')->get(),
        ];
    }

    /**
     * @param  Builder<Recording>  $recordings
     * @param  array<string, string>  $filter
     * @return Builder<Recording>
     */
    private function filtered(Builder $recordings, array $filter): Builder
    {
        return $recordings
            ->when($filter['club'] ?? null, static fn (Builder $q, string $club) => $q->where('club', $club))
            ->when($filter['device'] ?? null, static fn (Builder $q, string $of) => $q->where('device_class', $of))
            ->when($filter['hand'] ?? null, static fn (Builder $q, string $hand) => $q->whereHas(
                'golfer',
                static fn (Builder $g) => $g->where('handedness', $hand),
            ))
            ->when($filter['fault'] ?? null, static fn (Builder $q, string $fault) => $q->whereHas(
                'measured',
                static fn (Builder $m) => $m->whereJsonContains('supported', $fault),
            ))
            ->when($filter['find'] ?? null, static fn (Builder $q, string $find) => $q->where(
                static fn (Builder $any) => $any
                    ->where('club', 'ilike', Like::holding($find))
                    ->orWhere('series', 'ilike', Like::holding($find))
                    ->orWhereHas('golfer', static fn (Builder $g) => $g
                        ->where('pseudonym', 'ilike', Like::holding($find))
                        ->orWhere('limits', 'ilike', Like::holding($find))
                        ->orWhereHas('limitsInForce', static fn (Builder $l) => $l
                            ->where('region', 'ilike', Like::holding($find)))),
            ));
    }

    /**
     * @param  Builder<Recording>  $fitting
     * @return LengthAwarePaginator<int, \stdClass>  of rows with ids, "{1,2,3}"
     */
    private function sessions(Builder $fitting, string $order): LengthAwarePaginator
    {
        return $fitting
            ->toBase()
            ->join('golfers', 'golfers.id', '=', 'recordings.golfer_id')
            ->groupBy('golfers.pseudonym', 'golfer_id', 'device_class', 'club', 'series')
            ->selectRaw('array_agg(recordings.id order by recordings.id) as ids')
            ->when($order === 'golfer', static fn ($q) => $q->orderBy('pseudonym'))
            ->when($order === 'club', static fn ($q) => $q->orderBy('club')->orderBy('pseudonym'))
            ->orderByRaw('max(recordings.id) desc')
            ->paginate(self::SESSIONS_A_PAGE);
    }

    /**
     * @param  LengthAwarePaginator<int, \stdClass>  $pages
     * @return list<ShelfSession>
     */
    private function shown(LengthAwarePaginator $pages): array
    {
        $groups = array_map(
            static fn (\stdClass $row): array => array_map(
                intval(...),
                explode(',', trim(Cell::text($row->ids), '{}')),
            ),
            array_values($pages->items()),
        );
        $recordings = Recording::query()
            ->whereKey(array_merge(...$groups, ...[[]]))
            ->with([
                'golfer.consents',
                'golfer.limitsInForce',
                'measured' => static fn ($m) => $m->select(self::BRIEF),
                'films',
            ])
            ->withCount('motion')
            ->get()
            ->keyBy('id')
            ->all();

        return array_map(
            fn (array $ids): ShelfSession => $this->session(
                array_map(static fn (int $id): Recording => $recordings[$id], $ids),
            ),
            $groups,
        );
    }

    /** @param  non-empty-list<Recording>  $recordings */
    private function session(array $recordings): ShelfSession
    {
        [$first] = $recordings;
        $about = [
            $first->golfer->handedness === 'left' ? (string) __('shelf.left-handed') : null,
            Term::limits($first->golfer),
            $first->series,
        ];
        $until = $first->golfer->consents->max('expires_on');

        return new ShelfSession(
            $first->golfer->pseudonym,
            implode(' · ', array_filter($about, static fn (?string $s): bool => $s !== null && $s !== '')),
            $first->club,
            Term::device($first->deviceClass()),
            $until instanceof Carbon ? __('shelf.until', ['date' => $until->format('M Y')]) : '',
            array_map($this->swing(...), $recordings),
        );
    }

    private function swing(Recording $r): ShelfSwing
    {
        $codebook = $this->codebooks->current();
        $supported = $r->measured->supported ?? [];
        $views = count($r->filmedViews());

        return new ShelfSwing(
            $r->public_id,
            route('bench', $r),
            $r->measured->shape ?? '',
            $r->is_cold,
            __('shelf.evidence.'.($views === 0 ? ($r->motion_count > 0 ? 'figure' : 'none') : min(2, $views))),
            $r->measured !== null,
            array_map(static fn (string $k): string => $codebook->faults[$k]->name ?? $k, $supported),
            array_map(
                fn (QualityNote $n): string => $this->words->said($n->finding->remark),
                $r->measured?->notes() ?? [],
            ),
        );
    }

    private function title(int $fitting, int $total, int $sessions): string
    {
        return $fitting === $total
            ? trans_choice('shelf.title', $total, ['count' => $total, 'sessions' => $sessions])
            : __('shelf.title-some', ['count' => $fitting, 'total' => $total]);
    }

    private function ended(): int
    {
        return Recording::query()
            ->whereNull('recordings.erased_at')
            ->whereDoesntHave('golfer', static fn ($q) => $q->consenting(Scope::Lessons, Scope::StaffTraining))
            ->count();
    }

    /**
     * @param  Builder<Recording>  $seen
     * @param  array<string, string>  $filter
     * @return list<array{name: string, label: string, options: list<array{value: string, word: string, on: bool}>}>
     */
    private function fields(Builder $seen, array $filter): array
    {
        $clubs = $seen->distinct()->orderBy('club')->pluck('club')->map(Cell::text(...))->all();
        $options = [
            'club' => array_combine($clubs, $clubs),
            'hand' => trans('shelf.hands'),
            'device' => trans('shelf.devices'),
            'fault' => array_map(static fn ($f): string => $f->name, $this->codebooks->current()->faults),
            'order' => array_map(static fn (string $o): string => __("shelf.orders.$o"), array_combine(
                self::ORDERS,
                self::ORDERS,
            )),
        ];
        $out = [];
        foreach ($options as $name => $words) {
            $list = $name === 'order' ? [] : [['value' => '', 'word' => __('shelf.any'), 'on' => false]];
            foreach ((array) $words as $value => $word) {
                $list[] = [
                    'value' => (string) $value,
                    'word' => Cell::text($word),
                    'on' => ($filter[$name] ?? '') === (string) $value,
                ];
            }
            $out[] = ['name' => $name, 'label' => __("shelf.fields.$name"), 'options' => $list];
        }

        return $out;
    }
}
