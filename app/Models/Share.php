<?php

declare(strict_types=1);

namespace App\Models;

use App\Access\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a person beside the owner may do in a plan.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property int                             $user_id
 * @property Role                            $role
 * @property User                            $user
 * @property \Illuminate\Support\Carbon|null $created_at
 */
final class Share extends Model
{
    use UlidKey;

    protected $table = 'shares';

    protected $fillable = ['plan_id', 'user_id', 'role'];

    protected function casts(): array
    {
        return ['role' => Role::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }
}
