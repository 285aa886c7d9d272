<?php

declare(strict_types=1);

namespace App\Undo\Actions;

use App\Exceptions\ActionException;
use App\Models\User;
use App\Undo\Events\PutBack;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Puts rows back where they stood. */
final readonly class PutRowsBack
{
    /**
     * @param  array<array-key, mixed>  $payload  subject and parts, as they were offered
     *
     * @throws ActionException where something has come into their place, or what they hung on has gone
     */
    public function __invoke(array $payload, User $by): void
    {
        /**
         * @var array{
         *     subject: string,
         *     parts: list<array{table: string, rows: list<array<string, string|null>>}>,
         * } $of
         */
        $of = $payload;
        try {
            DB::transaction(static function () use ($of): void {
                foreach ($of['parts'] as $part) {
                    DB::table($part['table'])->insert($part['rows']);
                }
            });
        } catch (QueryException $e) {
            throw ActionException::because('refusals.undo.changed', [], ActionException::CONFLICT, $e);
        }
        event(new PutBack($of['subject'], array_column($of['parts'], 'table'), $by));
    }
}
