<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('plan_views', static function (Blueprint $table): void {
            // How a person wants to see the map: arrangement, style, widths, levels.
            $table->json('map')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('map'));
    }
};
