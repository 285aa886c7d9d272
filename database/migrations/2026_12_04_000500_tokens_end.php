<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        // Those of before go on for the time a new one has.
        DB::unprepared(<<<'SQL'
            alter table devices
                add token_expires_at timestamptz not null default now() + interval '180 days',
                add class varchar(12) check (class in ('mat', 'plate', 'dual-plate')),
                add previous_hash char(64) unique,
                add previous_until timestamptz,
                add check ((previous_hash is null) = (previous_until is null));
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(
            'alter table devices drop token_expires_at, drop class, drop previous_hash, drop previous_until;',
        );
    }
};
