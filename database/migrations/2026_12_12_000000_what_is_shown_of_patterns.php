<?php

declare(strict_types=1);

use App\Models\PlanPattern;
use Embrel\Intake\OwnPattern;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is shown of a pattern before it is chosen is kept beside it: the list of plans shows all, and each may be large. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('patterns', static fn(Blueprint $table) => $table->mediumText('shown')->nullable());
        foreach (PlanPattern::query()->lazyById(1) as $pattern) {
            $pattern->update(['shown' => OwnPattern::shown($pattern->plan())]);
        }
        Schema::table('patterns', static fn(Blueprint $table) => $table->mediumText('shown')->nullable(false)->change());
    }

    public function down(): void
    {
        Schema::dropColumns('patterns', 'shown');
    }
};
