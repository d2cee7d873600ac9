<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Main sections got a dye by themselves; where no dye was ever set in a plan, nobody has chosen those that are there. */
return new class extends Migration {
    private const ROOT = '00000000000000000000000000';

    public function up(): void
    {
        DB::table('topics')
            ->where('parent_id', self::ROOT)
            ->whereNotNull('dye')
            ->where('dye', 'not like', '#%')
            ->where('dye', 'not like', '~%')
            ->whereNotExists(
                static fn($set) => $set
                    ->from('operations')
                    ->whereColumn('operations.plan_id', 'topics.plan_id')
                    ->where('operations.type', 'dye'),
            )
            ->update(['dye' => DB::raw("CONCAT('~', dye)")]);
    }

    public function down(): void
    {
        DB::table('topics')
            ->where('dye', 'like', '~%')
            ->update(['dye' => DB::raw('SUBSTRING(dye, 2)')]);
    }
};
