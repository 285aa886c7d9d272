<?php

use App\Models\TraceChannel;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * No number that is not finite or beyond physical sense is kept: the database refuses it, whatever code writes. What an
 * older version let in is made missing, which it is.
 */
return new class extends Migration
{
    private const CHECKS = [
        'recordings' => [
            'rate_hz between 1 and 20000',
            't0 between -7200 and 7200',
            'mass_kg is null or mass_kg between 15 and 300',
            'film_offset_s between -7200 and 7200',
            'film_drift_ppm between -100000 and 100000',
            'samples <= 2000000',
        ],
        'station_times' => ['t_s between -7200 and 7200', 'uncertainty_s between 0 and 7200'],
        'motions' => ['rate_hz between 1 and 20000', 't0 between -7200 and 7200'],
        'films' => [
            'offset_s between -7200 and 7200',
            'drift_ppm between -100000 and 100000',
            'rate_hz is null or rate_hz between 1 and 20000',
        ],
        'trace_channels' => [
            'octet_length(samples) % 4 = 0',
            '(minimum is null) = (maximum is null)',
            'minimum is null or (minimum >= -1000000000 and maximum <= 1000000000 and minimum <= maximum)',
            'missing between 0 and octet_length(samples) / 4',
            '(minimum is null) = (missing = octet_length(samples) / 4)',
        ],
    ];

    public function up(): void
    {
        foreach (DB::table('trace_channels')->orderBy('id')->pluck('id') as $id) {
            $row = DB::table('trace_channels')->where('id', $id)->first();
            $bytes = is_resource($row->samples)
                ? (string) stream_get_contents($row->samples)
                : (string) hex2bin(substr((string) $row->samples, 2));
            $values = array_values((array) unpack('g*', $bytes));
            $limit = \Core\Trace\Limits::ofChannel($row->name);
            $sound = array_map(static fn (float $v): float => $v > $limit || $v < -$limit ? NAN : $v, $values);
            DB::table('trace_channels')
                ->where('id', $id)
                ->update([
                    ...TraceChannel::extent($sound),
                    'samples' => DB::raw("'\\x".bin2hex(pack('g*', ...$sound))."'::bytea"),
                ]);
        }
        DB::statement('alter table trace_channels alter column missing set not null');
        // Their margins were rounded before anything was decided from them; they are cheap to make again.
        DB::table('measurement_sets')->delete();
        foreach (self::CHECKS as $table => $checks) {
            foreach ($checks as $i => $check) {
                DB::statement("alter table $table add constraint {$table}_limits_$i check ($check)");
            }
        }
    }

    public function down(): void
    {
        foreach (self::CHECKS as $table => $checks) {
            foreach (array_keys($checks) as $i) {
                DB::statement("alter table $table drop constraint {$table}_limits_$i");
            }
        }
        DB::statement('alter table trace_channels alter column missing drop not null');
    }
};
