<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who works on a topic, from when and by when, when it was done, and how often it comes again. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('topics', static function (Blueprint $table): void {
            $table->string('who', 60)->nullable();
            foreach (['begins', 'due', 'done'] as $day) {
                $table->char($day, 10)->charset('ascii')->collation('ascii_bin')->nullable();
            }
            $table->string('again', 8)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('topics', static function (Blueprint $table): void {
            $table->dropColumn(['who', 'begins', 'due', 'done', 'again']);
        });
    }
};
