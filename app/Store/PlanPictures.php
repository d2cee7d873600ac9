<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Document\Pictures;
use Illuminate\Support\Facades\DB;

/** The pictures of one plan, addressed by their content; kept as long as the plan is. */
final readonly class PlanPictures implements Pictures
{
    public function __construct(private string $plan) {}

    public function bytes(string $id): ?string
    {
        return $this->row($id)->bytes ?? null;
    }

    public function row(string $id): ?\stdClass
    {
        return DB::table('pictures')->where('plan_id', $this->plan)->where('id', $id)->first(['type', 'bytes']);
    }

    public function keep(PictureIntake $taken): void
    {
        DB::table('pictures')->insertOrIgnore([['plan_id' => $this->plan, 'id' => $taken->picture()->id, 'type' => $taken->type, 'bytes' => $taken->bytes]]);
    }

    /** Takes over all pictures of another plan, of which topics were copied. */
    public function takeOver(string $from): void
    {
        DB::statement('INSERT IGNORE INTO pictures (plan_id, id, type, bytes) SELECT ?, id, type, bytes FROM pictures WHERE plan_id = ?', [$this->plan, $from]);
    }
}
