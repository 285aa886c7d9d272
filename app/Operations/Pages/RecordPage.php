<?php

declare(strict_types=1);

namespace App\Operations\Pages;

use App\Models\Academy;
use App\Models\AuditEntry;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Codebook\Codebook;
use Core\Codebook\StandardLenses;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** What was done in the academy, by day and in words, as far as nobody who still reads blind learns from it. */
final class RecordPage
{
    private const A_PAGE = 60;

    /** @var array<string, Recording> by public identifier */
    private array $recordings = [];

    /** @var array<int, string> names by number */
    private array $people = [];

    /** @var array<int, string> pseudonyms by number */
    private array $golfers = [];

    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    /**
     * @param  array<string, string>  $filter  action, who, from, to (days of the academy), each valid or not there
     * @return array<string, mixed>
     */
    public function of(array $filter, User $user): array
    {
        $pages = $this->entries($filter, $user)->simplePaginate(self::A_PAGE)->withQueryString();
        $entries = array_values($pages->items());
        $this->meet($entries, $user);
        $days = [];
        foreach ($entries as $entry) {
            $days[$this->at($entry)->isoFormat('dddd D MMMM YYYY')][] = $this->worded($entry);
        }

        return [
            'days' => $days,
            'pages' => $pages,
            'filter' => $filter,
            'actions' => array_map(Cell::text(...), (array) trans('record.actions')),
            'people' => User::query()->orderBy('name')->orderBy('id')->pluck('name', 'id')->all(),
        ];
    }

    /**
     * Every entry that fits, oldest first, as it is kept.
     *
     * @param  array<string, string>  $filter
     * @return iterable<AuditEntry>
     */
    public function whole(array $filter, User $user): iterable
    {
        return $this->entries($filter, $user)->reorder('id')->lazy(500);
    }

    /**
     * @param  array<string, string>  $filter
     * @return Builder<AuditEntry>
     */
    private function entries(array $filter, User $user): Builder
    {
        $zone = Academy::zone();
        $day = static fn (string $day): Carbon => Carbon::parse($day, $zone)->startOfDay()->utc();
        $query = AuditEntry::query()
            ->with('user')
            ->when($filter['action'] ?? null, static fn (Builder $q, string $action) => $q->where('action', $action))
            ->when($filter['who'] ?? null, static fn (Builder $q, string $who) => $q->where('user_id', (int) $who))
            ->when($filter['from'] ?? null, static fn (Builder $q, string $d) => $q->where('created_at', '>=',
                $day($d)))
            ->when(
                $filter['to'] ?? null,
                static fn (Builder $q, string $d) => $q->where('created_at', '<', $day($d)->addDay()),
            );

        return $this->without($query, $user)->orderByDesc('created_at')->orderByDesc('id');
    }

    /**
     * What was ruled or marked on a swing that its reader is still to read blind waits as well.
     *
     * @param  Builder<AuditEntry>  $query
     * @return Builder<AuditEntry>
     */
    private function without(Builder $query, User $user): Builder
    {
        $hidden = Recording::query()
            ->whereKey($this->onlookers->of($user)->hidden())
            ->pluck('public_id')
            ->map(Cell::text(...))
            ->all();
        if ($hidden === []) {
            return $query;
        }
        $query->where(static fn (Builder $q) => $q
            ->whereNull('details->recording')
            ->orWhereNotIn('details->recording', $hidden));
        foreach ($hidden as $id) {
            $query->where('subject', 'not like', "%$id%");
        }

        return $query;
    }

    /**
     * The recordings that entries speak of and this person may see.
     *
     * @param  list<AuditEntry>  $entries
     */
    private function meet(array $entries, User $user): void
    {
        $ids = [];
        $named = ['person' => [], 'golfer' => []];
        foreach ($entries as $entry) {
            if (preg_match('/^(person|golfer) (\d+)$/', $entry->subject, $m) === 1) {
                $named[$m[1]][] = (int) $m[2];
            }
            preg_match('/recording ([a-z0-9]{26})$/', $entry->subject, $m);
            $ids[] = $m[1] ?? Cell::text($entry->details['recording'] ?? '');
        }
        $this->recordings = $this->onlookers
            ->of($user)
            ->recordings()
            ->whereIn('public_id', array_values(array_unique($ids)))
            ->with('golfer')
            ->get()
            ->keyBy(static fn (Recording $r): string => $r->public_id)
            ->all();
        $this->people = User::query()
            ->whereKey($named['person'])
            ->get()
            ->mapWithKeys(static fn (User $u): array => [$u->id => $u->name])
            ->all();
        $this->golfers = Golfer::query()
            ->whereKey($named['golfer'])
            ->whereNull('erased_at')
            ->get()
            ->mapWithKeys(static fn (Golfer $g): array => [$g->id => $g->pseudonym])
            ->all();
    }

    private function at(AuditEntry $entry): Carbon
    {
        return $entry->created_at->timezone(Academy::zone());
    }

    private function worded(AuditEntry $entry): RecordEntry
    {
        [$on, $url] = $this->subject($entry);

        return new RecordEntry(
            $this->at($entry)->format('H:i'),
            $entry->user->name ?? (string) __('record.nobody'),
            self::word('actions', $entry->action),
            $on,
            $url,
            $this->details($entry),
        );
    }

    /** @return array{string, ?string} what it was done to, in words, and where that stands */
    private function subject(AuditEntry $entry): array
    {
        $subject = $entry->subject;
        if (preg_match('/^(?:(station|fault) ([\w-]+), )?recording ([a-z0-9]{26})$/', $subject, $m) === 1) {
            $recording = $this->recordings[$m[3]] ?? null;
            $swing = $recording === null
                ? (string) __('record.gone')
                : (string) __('record.swing', ['golfer' => $recording->golfer->pseudonym, 'club' => $recording->club]);
            $on = match ($m[1]) {
                'station' => __('record.station', ['station' => $m[2], 'swing' => $swing]),
                'fault' => self::fault($m[2]).", $swing",
                default => $swing,
            };

            return [(string) $on, $recording === null ? null : route('bench', $recording)];
        }
        if (preg_match('/^(person|golfer) (\d+)$/', $subject, $m) === 1) {
            $name = ($m[1] === 'person' ? $this->people : $this->golfers)[(int) $m[2]] ?? null;
            $page = $m[1] === 'person' ? 'people.show' : 'golfers.show';

            return [$name ?? (string) __("record.$m[1]-gone"), $name === null ? null : route($page, $m[2])];
        }
        if ($subject === 'academy') {
            return ['', null];
        }

        return [(string) preg_replace('/^round /', '', $subject), null];
    }

    private static function fault(string $key): string
    {
        return Codebook::standard(StandardLenses::DEFAULT)->faults[$key]->name ?? $key;
    }

    /** @return list<string> */
    private function details(AuditEntry $entry): array
    {
        $out = [];
        foreach ($entry->details as $key => $value) {
            $line = "record.details.$key";
            if ($value !== null && is_scalar($value) && __($line) !== $line && __($line) !== '') {
                $out[] = (string) __($line, ['value' => is_float($value) ? (string) $value : $value]);
            }
        }

        return $out;
    }

    private static function word(string $group, string $code): string
    {
        $line = "record.$group.$code";

        return __($line) === $line ? $code : (string) __($line);
    }
}
