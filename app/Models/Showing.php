<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A plan that somebody shows, as screens on other machines follow it; one at the most for each person and plan.
 *
 * @property string                     $id
 * @property string                     $plan_id
 * @property int                        $user_id  who shows it
 * @property string                     $token    SHA-256 of what the address ends with
 * @property array{at: int, stop: int, dark: bool, map: bool} $at where the speaker is
 * @property \Illuminate\Support\Carbon $ends_at
 * @property Plan                       $plan
 * @property User                       $user
 */
final class Showing extends Model
{
    use UlidKey;

    protected $guarded = [];
    protected $hidden = ['token'];

    protected function casts(): array
    {
        return ['at' => 'array', 'ends_at' => 'datetime'];
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
