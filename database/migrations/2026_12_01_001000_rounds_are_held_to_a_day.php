<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A round may be due on a day; a case may be taken out of it, for a reason; readers are reminded. */
return new class extends Migration
{
    private const KINDS = "'opened', 'published', 'reopened', 'all-in', 'came', 'consents'";

    public function up(): void
    {
        DB::unprepared('
            alter table sittings add column due_on date;
            alter table sitting_cases add column withdrawn_reason text check (length(withdrawn_reason) <= 400),
                add constraint withdrawn_for_a_reason check (withdrawn_at is null or withdrawn_reason is not null);
        ');
        $this->kinds(self::KINDS.", 'due'");
    }

    public function down(): void
    {
        DB::table('notices')->where('kind', 'due')->delete();
        $this->kinds(self::KINDS);
        DB::unprepared('
            alter table sitting_cases drop constraint withdrawn_for_a_reason, drop column withdrawn_reason;
            alter table sittings drop column due_on;
        ');
    }

    private function kinds(string $kinds): void
    {
        DB::unprepared("alter table notices drop constraint notices_kind;
            alter table notices add constraint notices_kind check (kind in ($kinds))");
    }
};
