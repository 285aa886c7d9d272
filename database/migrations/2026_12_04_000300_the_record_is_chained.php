<?php

declare(strict_types=1);

use App\Audit\RecordChain;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('alter table audit_entries add uid char(26), add mac char(64);');
        DB::table('audit_entries')->orderBy('id')->each(static function (object $entry): void {
            $entry->uid = Str::lower((string) Str::ulid());
            DB::table('audit_entries')->where('id', $entry->id)->update([
                'uid' => $entry->uid,
                'mac' => RecordChain::mac(RecordChain::read($entry), RecordChain::keys()[0]),
            ]);
        }, 1000);
        DB::unprepared(<<<'SQL'
            alter table audit_entries alter uid set not null, alter mac set not null, add unique (uid);
            create table audit_seals (
                position bigint primary key check (position > 0),
                entry_id bigint not null unique references audit_entries (id),
                hash char(64) not null,
                sealed_at timestamptz not null
            );
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop table audit_seals; alter table audit_entries drop uid, drop mac;');
    }
};
