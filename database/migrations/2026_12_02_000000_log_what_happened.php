<?php

declare(strict_types=1);

use App\Store\StoredDifference;
use Embrel\Operation\Codec;
use Embrel\Operation\Replay;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Shape;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The log keeps what each change did instead of what was asked and how it is taken back. */
return new class extends Migration {
    private const AT_ONCE = 500;

    public function up(): void
    {
        Schema::create('operation_things', static function (Blueprint $table): void {
            foreach (['plan_id', 'thing'] as $name) {
                $table->char($name, 26)->charset('ascii')->collation('ascii_bin');
            }
            $table->unsignedBigInteger('seq');
            $table->primary(['plan_id', 'thing', 'seq']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
        });
        Schema::table('operations', static fn(Blueprint $table) => $table->longText('difference')->nullable()->after('type'));
        foreach (DB::table('operations')->distinct()->pluck('plan_id') as $plan) {
            DB::transaction(fn() => $this->carryOver($plan));
        }
        Schema::table('operations', static function (Blueprint $table): void {
            $table->longText('difference')->nullable(false)->change();
            $table->dropColumn(['payload', 'inverse']);
        });
    }

    private function carryOver(string $plan): void
    {
        $first = DB::table('snapshots')->where('plan_id', $plan)->orderBy('seq')->first(['seq', 'body']);
        if ($first === null) {
            return;
        }
        $kept = DB::table('snapshots')->where('plan_id', $plan)->pluck('seq')->flip();
        $read = static fn(string $body): Plan => PlanForm::plan(new Shape(json_decode($body, true, 512, JSON_THROW_ON_ERROR), 'snapshot'));
        $point = static fn(int $seq): ?Plan => $kept->has($seq)
            ? $read(DB::table('snapshots')->where('plan_id', $plan)->where('seq', $seq)->value('body'))
            : null;
        foreach (Replay::of($read($first->body), $this->asked($plan, (int) $first->seq), $point) as $seq => $difference) {
            DB::table('operations')
                ->where('plan_id', $plan)
                ->where('seq', $seq)
                ->update(['difference' => StoredDifference::write($difference)]);
            StoredDifference::index($plan, [$seq => $difference]);
        }
    }

    /** @return Generator<int, \Embrel\Operation\Operation> */
    private function asked(string $plan, int $after): Generator
    {
        do {
            $rows = DB::table('operations')
                ->where('plan_id', $plan)
                ->where('seq', '>', $after)
                ->orderBy('seq')
                ->limit(self::AT_ONCE)
                ->pluck('payload', 'seq');
            foreach ($rows as $seq => $payload) {
                $after = (int) $seq;
                yield $after => Codec::decode(json_decode($payload, true, 512, JSON_THROW_ON_ERROR));
            }
        } while ($rows->isNotEmpty());
    }
};
