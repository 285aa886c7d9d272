<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create table training_goals (
                id bigserial primary key,
                public_id char(26) not null unique,
                user_id bigint not null references users (id),
                set_by bigint not null references users (id),
                kind varchar(10) not null check (kind in ('practise', 'follow-up', 'test', 'words')),
                fault varchar(40),
                amount smallint not null default 1 check (amount between 1 and 500),
                words text not null default '',
                due_on date not null,
                done_at timestamptz,
                dropped_at timestamptz,
                created_at timestamptz not null default now(),
                updated_at timestamptz not null default now(),
                check (fault is null or kind = 'practise'),
                check ((kind = 'words') = (length(trim(words)) > 0)),
                check (done_at is null or kind = 'words'),
                check (done_at is null or dropped_at is null)
            );
            create index training_goals_open on training_goals (user_id, due_on) where dropped_at is null;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop table training_goals;');
    }
};
