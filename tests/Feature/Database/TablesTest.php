<?php

use App\Models\Golfer;
use App\Models\Recording;
use App\Operations\Tables;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** @return array<string, list<string>> by table, the columns that lead to a golfer or a recording */
function leads(string ...$to): array
{
    $out = [];
    $rows = DB::table('information_schema.columns')
        ->where('table_schema', 'public')
        ->whereIn('column_name', $to)
        ->orderBy('table_name')
        ->get(['table_name', 'column_name']);
    foreach ($rows as $row) {
        $out[$row->table_name][] = $row->column_name;
    }

    return $out;
}

it('knows every table’s place in blinding, erasure, archive and backup', function () {
    $there = DB::table('pg_tables')->where('schemaname', 'public')->pluck('tablename')->all();
    expect(array_keys(Tables::PLACES))->toEqualCanonicalizing($there);
    foreach (Tables::PLACES as $table => [$blinding, $erasure, $archive, $backup]) {
        expect($blinding)->toBeIn([Tables::OPEN, Tables::HIDDEN, Tables::OWN], $table)
            ->and($erasure)->toBeIn([Tables::GOES, Tables::EMPTIED, Tables::STAYS, Tables::NONE, Tables::SEALED],
                $table)
            ->and($archive && ! $backup)->toBeFalse($table);
    }
});

it('says of no table that points at a recording that nothing of a golfer is in it', function () {
    foreach (leads('recording_id', 'golfer_id') as $table => $columns) {
        if (in_array($table, ['users', 'works'], true)) {
            continue; // who a person is, and work under way, are let go on their own
        }
        expect(Tables::PLACES[$table][1])->not->toBe(Tables::NONE, $table)
            ->and(Tables::PLACES[$table][0])->toBeIn(in_array('recording_id', $columns, true)
                ? [Tables::HIDDEN] : [Tables::HIDDEN, Tables::OPEN], $table);
    }
});

it('empties on erasure what it says goes', function () {
    array_map(Storage::fake(...), ['papers', 'films', 'exports']);
    $recording = Recording::query()->with('golfer')->orderBy('id')->firstOrFail();
    $golfer = $recording->golfer;
    $ids = Recording::query()->where('golfer_id', $golfer->id)->pluck('id')->all();
    $golfer->limitsNoted()->create(['region' => 'back', 'severity' => 'avoid']);
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id", ['typed' => $golfer->pseudonym]);
    foreach (leads('recording_id') as $table => $columns) {
        if (Tables::PLACES[$table][1] === Tables::GOES) {
            expect(DB::table($table)->whereIn('recording_id', $ids)->exists())->toBeFalse($table);
        }
    }
    foreach (leads('golfer_id') as $table => $columns) {
        if (Tables::PLACES[$table][1] === Tables::GOES) {
            expect(DB::table($table)->where('golfer_id', $golfer->id)->exists())->toBeFalse($table);
        }
    }
    expect(Golfer::query()->findOrFail($golfer->id)->erased_at)->not->toBeNull();
});
