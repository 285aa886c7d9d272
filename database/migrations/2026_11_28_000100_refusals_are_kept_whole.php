<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What is refused is kept as a line and what it speaks of; sentences of before stay as they are.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('films', static fn (Blueprint $t) => $t->text('message')->nullable()->change());
        Schema::table('works', static fn (Blueprint $t) => $t->text('problem')->nullable()->change());
    }
};
