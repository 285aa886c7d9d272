<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\Casts\Cell;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Goes through the whole record and says what does not hold. */
final readonly class RecordCheck
{
    /** Entries are sealed within this by any worker; an older one without a seal was put in beside the application. */
    private const SEALED_WITHIN_H = 24;

    /**
     * @param  array{int, string}|null  $anchor  a position and its seal, as they were written down elsewhere
     * @return array{entries: int, sealed: int, end: array{int, string}, faults: list<array{what: string,
     *     where: string}>}
     */
    public function __invoke(?array $anchor = null): array
    {
        $faults = [];
        $tell = static function (string $what, string $where) use (&$faults): void {
            $faults[] = compact('what', 'where');
        };
        $position = 0;
        $hash = RecordChain::START;
        $keys = RecordChain::keys();
        // As one moment of it: entries go on coming meanwhile.
        [$entries, $unsealed] = DB::transaction(static function () use (&$position, &$hash, $keys, $anchor, $tell): array {
            if (DB::transactionLevel() === 1) {
                DB::statement('set transaction isolation level repeatable read, read only');
            }
            foreach (DB::table('audit_seals')
                ->leftJoin('audit_entries', 'audit_entries.id', '=', 'audit_seals.entry_id')
                ->orderBy('position')
                ->select(['position', 'entry_id', 'audit_seals.hash', 'audit_entries.*'])
                ->lazy(2000) as $row) {
                $at = Cell::int($row->position);
                for ($gone = ++$position; $gone < $at; $gone = ++$position) {
                    $tell('missing', "seal $gone");
                }
                $mac = $row->uid === null ? null : Cell::text($row->mac);
                if ($mac === null) {
                    $tell('missing', 'entry '.Cell::int($row->entry_id));
                } elseif (! self::isOwn($row, $keys)) {
                    $tell('changed', 'entry '.Cell::int($row->entry_id));
                }
                $is = Cell::text($row->hash);
                // Where an entry is gone its seal can still be led on from.
                if ($mac !== null && RecordChain::link($hash, $at, $mac) !== $is) {
                    $tell('broken', "seal $at");
                }
                $hash = $is;
                if ($anchor !== null && $anchor[0] === $at && ! hash_equals($anchor[1], $is)) {
                    $tell('broken', "seal $at");
                }
            }
            $unsealed = 0;
            foreach (DB::table('audit_entries')
                ->whereNotExists(static fn (Builder $q): Builder => $q
                    ->from('audit_seals')
                    ->whereColumn('entry_id', 'audit_entries.id'))
                ->orderBy('id')
                ->lazy(2000) as $row) {
                $unsealed++;
                $isOld = Carbon::parse(Cell::text($row->created_at))->lt(now()->subHours(self::SEALED_WITHIN_H));
                if (! self::isOwn($row, $keys) || ($position > 0 && $isOld)) {
                    $tell('inserted', 'entry '.Cell::int($row->id));
                }
            }

            return [DB::table('audit_entries')->count(), $unsealed];
        });
        if ($anchor !== null && $anchor[0] > $position) {
            $tell('missing', 'seals '.($position + 1)." to $anchor[0]");
        }

        return [
            'entries' => $entries,
            'sealed' => $entries - $unsealed,
            'end' => [$position, $hash],
            'faults' => $faults,
        ];
    }

    /** @param  non-empty-list<string>  $keys */
    private static function isOwn(object $row, array $keys): bool
    {
        $mac = Cell::text($row->mac ?? '');
        $read = RecordChain::read($row);
        foreach ($keys as $key) {
            if (hash_equals(RecordChain::mac($read, $key), $mac)) {
                return true;
            }
        }

        return false;
    }
}
