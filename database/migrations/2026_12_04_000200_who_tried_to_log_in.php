<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        // An address that nobody has is kept as a hash like any other: the table tells nobody which there are.
        DB::unprepared(<<<'SQL'
            create table login_attempts (
                id bigserial primary key,
                account char(64) not null,
                user_id bigint references users (id),
                ip varchar(45) not null,
                agent varchar(255) not null default '',
                outcome varchar(10) not null check (outcome in ('in', 'password', 'code')),
                at timestamptz not null
            );
            create index login_attempts_account on login_attempts (account, at desc);
            create index login_attempts_ip on login_attempts (ip, at desc) where outcome <> 'in';
            create index login_attempts_at on login_attempts (at);
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop table login_attempts;');
    }
};
