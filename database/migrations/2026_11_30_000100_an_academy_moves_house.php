<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('academies', function (Blueprint $table): void {
            // The archive by which it came here.
            $table->uuid('moved_in')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropColumns('academies', ['moved_in']);
    }
};
