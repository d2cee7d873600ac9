<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Each field of a topic has one column of its own name, empty for what is usual; topics carry labels, and plans list them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('topics', static function (Blueprint $table): void {
            $table->renameColumn('target_words', 'target');
            $table->string('spot', 16)->nullable();
            $table->json('labels')->nullable();
            $table->string('kind', 16)->nullable()->default(null)->change();
            $table->string('numbered', 16)->nullable()->default(null)->change();
        });
        $spot = DB::raw("CONCAT(CAST(map_x AS SIGNED), ',', CAST(map_y AS SIGNED))");
        DB::table('topics')->whereNotNull('map_x')->update(['spot' => $spot]);
        DB::table('topics')->where('kind', 'section')->update(['kind' => null]);
        DB::table('topics')->where('numbered', 'usual')->update(['numbered' => null]);
        Schema::table('topics', static function (Blueprint $table): void {
            $table->dropColumn(['map_x', 'map_y']);
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->json('labels')->nullable();
        });
        $this->indexWhatWentAlong();
    }

    /** Of topics that were removed, what was under them is found in the log too. */
    private function indexWhatWentAlong(): void
    {
        DB::table('operations')
            ->where('difference', 'like', '%"branches"%')
            ->orderBy('plan_id')
            ->orderBy('seq')
            ->select(['plan_id', 'seq', 'difference'])
            ->lazy(100)
            ->each(static function (stdClass $row): void {
                $rows = [];
                foreach (json_decode($row->difference, true)['branches'] ?? [] as $ids) {
                    foreach ($ids as $id) {
                        $rows[$id] = ['plan_id' => $row->plan_id, 'thing' => $id, 'seq' => $row->seq];
                    }
                }
                foreach (array_chunk($rows, 500) as $chunk) {
                    DB::table('operation_things')->insertOrIgnore($chunk);
                }
            });
    }

    public function down(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropColumn('labels');
        });
        Schema::table('topics', static function (Blueprint $table): void {
            $table->double('map_x')->nullable();
            $table->double('map_y')->nullable();
        });
        DB::table('topics')->whereNotNull('spot')->update([
            'map_x' => DB::raw("SUBSTRING_INDEX(spot, ',', 1)"),
            'map_y' => DB::raw("SUBSTRING_INDEX(spot, ',', -1)"),
        ]);
        DB::table('topics')->whereNull('kind')->update(['kind' => 'section']);
        DB::table('topics')->whereNull('numbered')->update(['numbered' => 'usual']);
        Schema::table('topics', static function (Blueprint $table): void {
            $table->renameColumn('target', 'target_words');
            $table->dropColumn(['spot', 'labels']);
            $table->string('kind', 16)->default('section')->change();
            $table->string('numbered', 16)->default('usual')->change();
        });
    }
};
