<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** One panel's study is verified under every lens: each lens has its key, with versions of its own. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            alter table key_versions drop constraint key_versions_round_id_number_unique;
            alter table key_versions add constraint key_versions_once unique (sitting_id, lens, number);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            alter table key_versions disable trigger user;
            alter table key_entries disable trigger user;
            alter table key_cases disable trigger user;
            create temporary table other_lenses as select k.id from key_versions k
                join sittings s on s.id = k.sitting_id where k.lens <> s.lens
                and not exists (select 1 from sittings r where r.key_version_id = k.id);
            delete from key_cases where key_version_id in (select id from other_lenses);
            delete from key_entries where key_version_id in (select id from other_lenses);
            delete from key_versions where id in (select id from other_lenses);
            alter table key_versions enable trigger user;
            alter table key_entries enable trigger user;
            alter table key_cases enable trigger user;
            alter table key_versions drop constraint key_versions_once;
            drop table other_lenses;
            -- Those that a round has used under another lens are numbered on.
            with counted as (select id, row_number() over (partition by sitting_id order by number, id) as n
                from key_versions)
            update key_versions k set number = n from counted c where c.id = k.id and k.number <> n;
            alter table key_versions add constraint key_versions_round_id_number_unique unique (sitting_id, number);
            SQL);
    }
};
