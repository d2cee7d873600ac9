<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Without it, whoever opens an account locks the letters of everybody else.
return new class extends Migration {
    public function up(): void
    {
        Schema::table('sign_ups', static function (Blueprint $table): void {
            $table->index('email');
            $table->index('created_at');
        });
    }

    public function down(): void
    {
        Schema::table('sign_ups', static function (Blueprint $table): void {
            $table->dropIndex(['email']);
            $table->dropIndex(['created_at']);
        });
    }
};
