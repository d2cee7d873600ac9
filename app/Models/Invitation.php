<?php

declare(strict_types=1);

namespace App\Models;

use App\Access\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Someone asked into a plan, or to a copy of it, by a letter whose link has not been followed yet.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property int|null                        $by_id
 * @property string                          $email     in the one spelling
 * @property Role                            $role
 * @property string                          $token     SHA-256 of what the letter's link ends with
 * @property bool                            $hands_out to a copy of one's own, instead of to the plan
 * @property Plan                            $plan
 * @property User|null                       $by
 * @property \Illuminate\Support\Carbon      $ends_at
 * @property \Illuminate\Support\Carbon|null $updated_at when the letter was sent last
 */
final class Invitation extends Model
{
    use UlidKey;

    protected $table = 'invitations';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['role' => Role::class, 'ends_at' => 'datetime', 'hands_out' => 'boolean'];
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
