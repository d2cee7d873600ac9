<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('sources', static function (Blueprint $table): void {
            foreach (['plan_id', 'id'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->text('title');
            $table->timestamp('removed_at')->nullable();
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('operations', static function (Blueprint $table): void {
            // What it did, in words, as the plan was called then.
            $table->string('says', 300)->default('')->after('type');
        });
        Schema::table('plan_views', static function (Blueprint $table): void {
            $table->boolean('dimmed')->default(false)->after('focus');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sources');
        Schema::table('operations', static fn(Blueprint $table) => $table->dropColumn('says'));
        Schema::table('plan_views', static fn(Blueprint $table) => $table->dropColumn('dimmed'));
    }
};
