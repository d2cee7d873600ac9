<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('plan_views', static function (Blueprint $table): void {
            // How a person wants to see the map: arrangement, style, widths, levels.
            $table->json('map')->nullable();
        });
        Schema::table('topics', static function (Blueprint $table): void {
            $table->string('size', 8)->nullable()->after('flag');
            $table->string('alone', 8)->nullable()->after('size');
            $table->string('picture', 100)->nullable();
        });
        Schema::create('pictures', static function (Blueprint $table): void {
            $table->char('plan_id', 26)->charset('ascii')->collation('ascii_bin');
            $table->char('id', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('type', 16);
            $table->binary('bytes');
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        DB::statement('ALTER TABLE pictures MODIFY bytes MEDIUMBLOB NOT NULL');
        Schema::create('relations', static function (Blueprint $table): void {
            foreach (['plan_id', 'id', 'from_id', 'to_id'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->string('label', 200)->default('');
            $table->string('dye', 16)->nullable();
            $table->string('arrows', 8)->default('end');
            $table->json('bend')->nullable();
            $table->timestamp('removed_at')->nullable();
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            foreach (['from_id', 'to_id'] as $end) {
                $table->foreign(['plan_id', $end])->references(['plan_id', 'id'])->on('topics')->cascadeOnDelete();
            }
        });
    }

    public function down(): void
    {
        Schema::table('topics', static fn(Blueprint $table) => $table->dropColumn(['size', 'alone', 'picture']));
        Schema::dropIfExists('pictures');
        Schema::dropIfExists('relations');
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('map'));
    }
};
