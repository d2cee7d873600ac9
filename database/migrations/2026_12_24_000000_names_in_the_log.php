<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Of plans that came from elsewhere: who made a change there, of whom there is no account here. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('operations', static fn(Blueprint $table) => $table->string('name', 120)->nullable());
    }

    public function down(): void
    {
        Schema::table('operations', static fn(Blueprint $table) => $table->dropColumn('name'));
    }
};
