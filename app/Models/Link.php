<?php

declare(strict_types=1);

namespace App\Models;

use App\Access\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An address by which anybody may read a plan, or comment on it; a plan has one at the most.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property Role                            $role     reads or comments
 * @property string                          $token    SHA-256 of what the address ends with
 * @property string|null                     $password its hash
 * @property bool                            $copies   who comes by it may make a copy
 * @property bool                            $shows_loose
 * @property bool                            $shows_asides
 * @property bool                            $shows_comments
 * @property string                          $framers  whose pages may show it within theirs: origins; empty: nobody's
 * @property Plan                            $plan
 * @property \Illuminate\Support\Carbon|null $ends_at
 * @property \Illuminate\Support\Carbon|null $created_at
 */
final class Link extends Model
{
    use UlidKey;

    protected $table = 'links';
    protected $guarded = [];
    protected $hidden = ['token', 'password'];

    protected function casts(): array
    {
        return [
            'role' => Role::class,
            'password' => 'hashed',
            'copies' => 'boolean',
            'shows_loose' => 'boolean',
            'shows_asides' => 'boolean',
            'shows_comments' => 'boolean',
            'ends_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }
}
