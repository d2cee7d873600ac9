<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Signs on topics. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('topics', static function (Blueprint $table): void {
            $table->string('sign', 40)->charset('ascii')->collation('ascii_bin')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('topics', static fn(Blueprint $table) => $table->dropColumn('sign'));
    }
};
