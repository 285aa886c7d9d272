<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\Casts\Cell;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * What makes the record hard to falsify. Each entry carries a code over all that it says, made with the application's
 * key: who has the database alone can neither write nor change one. Seals, each over the one before it, hold their
 * number and order. The end of the chain, kept elsewhere, tells whether the newest were cut off.
 *
 * @phpstan-type Row array{uid: string, user_id: ?int, action: string, subject: string, details: array<array-key,
 *     mixed>, personal: ?string, created_at: string}
 */
final readonly class RecordChain
{
    /** What the first seal is over. */
    public const START = '0000000000000000000000000000000000000000000000000000000000000000';

    /** So many entries are sealed at once. */
    private const AT_ONCE = 1000;

    /** Entries whose transaction ended after that of later ones are looked for so far back. */
    private const BACK = 10_000;

    /**
     * @param  array<array-key, mixed>  $details
     * @return array<string, mixed> a row as it is inserted
     */
    public static function row(?int $user, string $action, string $subject, array $details, ?string $personal): array
    {
        $at = now()->utc()->startOfSecond();
        $uid = Str::lower((string) Str::ulid());
        $encoded = json_encode($details, JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);

        return [
            'uid' => $uid,
            'user_id' => $user,
            'action' => $action,
            'subject' => $subject,
            'details' => $encoded,
            'personal' => $personal,
            'created_at' => $at->toIso8601String(),
            'mac' => self::mac([
                'uid' => $uid,
                'user_id' => $user,
                'action' => $action,
                'subject' => $subject,
                'details' => (array) json_decode($encoded, true),
                'personal' => $personal,
                'created_at' => $at->toIso8601String(),
            ], self::keys()[0]),
        ];
    }

    /** @param  Row  $row */
    public static function mac(array $row, string $key): string
    {
        return hash_hmac('sha256', json_encode([
            $row['uid'],
            $row['user_id'],
            $row['action'],
            $row['subject'],
            self::sorted($row['details']),
            $row['personal'],
            Carbon::parse($row['created_at'])->utc()->format('Y-m-d\TH:i:s\Z'),
        ], JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), $key);
    }

    /** @return non-empty-list<string> that of the application's key now, then those of its keys before */
    public static function keys(): array
    {
        return array_map(bin2hex(...), DerivedKeys::of('record'));
    }

    public static function link(string $before, int $position, string $mac): string
    {
        return hash('sha256', "$before|$position|$mac");
    }

    /** @return int how many entries were sealed; none while somebody else is at it */
    public function seal(): int
    {
        return DB::transaction(static function (): int {
            $mine = DB::selectOne("select pg_try_advisory_xact_lock(hashtext('record-chain')) as mine");
            if (! is_object($mine) || ($mine->mine ?? false) !== true) {
                return 0;
            }
            $last = DB::table('audit_seals')->orderByDesc('position')->first(['position', 'hash']);
            $position = Cell::int($last->position ?? 0);
            $hash = Cell::text($last->hash ?? self::START);
            $from = Cell::int(DB::table('audit_seals')->max('entry_id') ?? 0) - self::BACK;
            $seals = [];
            foreach (DB::table('audit_entries')
                ->where('id', '>', $from)
                ->whereNotExists(static fn (Builder $q): Builder => $q
                    ->from('audit_seals')
                    ->whereColumn('entry_id', 'audit_entries.id'))
                ->orderBy('id')
                ->limit(self::AT_ONCE)
                ->get(['id', 'mac']) as $entry) {
                $hash = self::link($hash, ++$position, Cell::text($entry->mac));
                $seals[] = ['position' => $position, 'entry_id' => $entry->id, 'hash' => $hash, 'sealed_at' => now()];
            }
            DB::table('audit_seals')->insert($seals);

            return count($seals);
        });
    }

    /** Codes all entries anew and begins the chain again: of a record that came from a machine with another key. */
    public function remake(): void
    {
        DB::table('audit_seals')->delete();
        DB::table('audit_entries')->orderBy('id')->each(static function (object $entry): void {
            DB::table('audit_entries')->where('id', $entry->id)->update([
                'mac' => self::mac(self::read($entry), self::keys()[0]),
            ]);
        }, self::AT_ONCE);
    }

    /** @return Row */
    public static function read(object $entry): array
    {
        return [
            'uid' => Cell::text($entry->uid ?? ''),
            'user_id' => ($entry->user_id ?? null) === null ? null : Cell::int($entry->user_id),
            'action' => Cell::text($entry->action ?? ''),
            'subject' => Cell::text($entry->subject ?? ''),
            'details' => (array) json_decode(Cell::text($entry->details ?? '[]'), true),
            'personal' => ($entry->personal ?? null) === null ? null : Cell::text($entry->personal),
            'created_at' => Cell::text($entry->created_at ?? ''),
        ];
    }

    /**
     * As a database that sorts members and knows one nought would give it back.
     *
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    private static function sorted(array $values): array
    {
        if (! array_is_list($values)) {
            ksort($values, SORT_STRING);
        }

        return array_map(static fn (mixed $v): mixed => match (true) {
            is_array($v) => self::sorted($v),
            is_float($v) && $v === 0.0 => 0.0,
            default => $v,
        }, $values);
    }
}
