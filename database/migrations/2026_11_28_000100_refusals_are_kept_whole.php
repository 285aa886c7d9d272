<?php

use App\Exceptions\Refusal;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// What is refused is kept as a line and what it speaks of; sentences of before stay as they are.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('films', static fn (Blueprint $t) => $t->text('message')->nullable()->change());
        Schema::table('works', static fn (Blueprint $t) => $t->text('problem')->nullable()->change());
    }

    /** What was kept whole is put into its words: the release of before printed them as they are. */
    public function down(): void
    {
        foreach (['films' => ['message', 300], 'works' => ['problem', 500]] as $table => [$column, $most]) {
            foreach (DB::table($table)->whereNotNull($column)->get(['id', $column]) as $row) {
                $says = mb_substr(Refusal::kept((string) $row->$column)->sentence(), 0, $most);
                DB::table($table)->where('id', $row->id)->update([$column => $says]);
            }
            Schema::table($table, static fn (Blueprint $t) => $t->string($column, $most)->nullable()->change());
        }
    }
};
