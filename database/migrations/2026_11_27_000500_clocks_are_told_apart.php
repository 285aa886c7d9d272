<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A recording's own second clock is that of its body points; films have clocks of theirs. */
return new class extends Migration
{
    private const NAMES = [
        'film_offset_s' => 'points_offset_s',
        'film_drift_ppm' => 'points_drift_ppm',
        'film_clock_uncertainty_s' => 'points_clock_uncertainty_s',
        'film_clock_by' => 'points_clock_by',
    ];

    public function up(): void
    {
        Schema::table('recordings', function (Blueprint $table): void {
            foreach (self::NAMES as $from => $to) {
                $table->renameColumn($from, $to);
            }
        });
    }

    public function down(): void
    {
        Schema::table('recordings', function (Blueprint $table): void {
            foreach (self::NAMES as $from => $to) {
                $table->renameColumn($to, $from);
            }
        });
    }
};
