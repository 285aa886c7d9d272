<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Rows hold codes with parameters. Key entries of before keep their sentences as what was worded then: a frozen key is
 * not touched. What is measured is derived and made anew; the doubts about stations are taken over.
 */
return new class extends Migration
{
    /** The doubts as they were written, with the number in them where there was one. */
    private const DOUBTS = [
        'it would stand before the station that precedes it, and was left out' => 'doubt.out-of-order',
        'it was not found' => 'doubt.not-found',
        'film along the target line shows the first move and the top poorly' => 'doubt.filmed-along-the-line',
        'the club was never still before it moved' => 'doubt.never-still',
        'it was taken from the lowest point of the club head' => 'doubt.lowest-point',
        'it was proposed from the trace alone' => 'doubt.from-the-trace-alone',
    ];

    public function up(): void
    {
        Schema::table('key_entries', function (Blueprint $table): void {
            $table->renameColumn('sentence', 'worded_then');
            $table->jsonb('judgement')->nullable();
        });
        DB::statement('alter table key_entries alter worded_then drop not null');
        DB::statement(
            'alter table key_entries add constraint key_entries_why check ((judgement is null) <> (worded_then is '
                .'null))',
        );

        Schema::table('station_times', fn (Blueprint $table) => $table->renameColumn('doubt', 'worded_then'));
        Schema::table('station_times', fn (Blueprint $table) => $table->jsonb('doubt')->nullable());
        foreach (DB::table('station_times')->whereNotNull('worded_then')->distinct()->pluck('worded_then') as $words) {
            DB::table('station_times')
                ->where('worded_then', $words)
                ->update([
                    'doubt' => json_encode(
                        self::doubt((string) $words),
                        JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
                    ),
                ]);
        }
        Schema::table('station_times', fn (Blueprint $table) => $table->dropColumn('worded_then'));

        // What is wrong with a recording stands with what was measured of it, once.
        Schema::table('recordings', fn (Blueprint $table) => $table->dropColumn('quality'));
        DB::table('measurement_sets')->delete();
        Schema::table('measurement_sets', fn (Blueprint $table) => $table->smallInteger('format')->default(1));
    }

    public function down(): void
    {
        DB::table('measurement_sets')->delete();
        Schema::table('measurement_sets', fn (Blueprint $table) => $table->dropColumn('format'));
        Schema::table('recordings', fn (Blueprint $table) => $table->jsonb('quality')->default('[]'));
        Schema::table('station_times', fn (Blueprint $table) => $table->dropColumn('doubt'));
        Schema::table('station_times', fn (Blueprint $table) => $table->string('doubt', 160)->nullable());
        DB::statement('alter table key_entries drop constraint key_entries_why');
        DB::statement('alter table key_entries disable trigger user');
        DB::table('key_entries')
            ->whereNull('worded_then')
            ->update(['worded_then' => DB::raw("'It is ' || verdict || '.'")]);
        DB::statement('alter table key_entries enable trigger user');
        DB::statement('alter table key_entries alter worded_then set not null');
        Schema::table('key_entries', function (Blueprint $table): void {
            $table->renameColumn('worded_then', 'sentence');
            $table->dropColumn('judgement');
        });
    }

    /** @return array{code: string, with?: array<string, mixed>} */
    private static function doubt(string $words): array
    {
        return match (true) {
            isset(self::DOUBTS[$words]) => ['code' => self::DOUBTS[$words]],
            preg_match('/^a downswing of (\d+) ms is unusual$/', $words, $m) === 1 => [
                'code' => 'doubt.odd-downswing',
                'with' => ['down_ms' => (float) $m[1]],
            ],
            preg_match('/^a backswing of ([\d.]+) s is unusual/', $words, $m) === 1 => [
                'code' => 'doubt.odd-backswing',
                'with' => ['back_s' => (float) $m[1]],
            ],
            default => ['code' => 'worded-then', 'with' => ['words' => $words]],
        };
    }
};
