<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;

/**
 * @property int    $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string $time_zone
 * @property string $language
 */
final class User extends Authenticatable
{
    use Notifiable;

    protected $fillable = ['name', 'email', 'password', 'time_zone', 'language'];
    protected $hidden = ['password', 'remember_token'];
    protected $attributes = ['time_zone' => 'UTC', 'language' => 'en'];

    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    /**
     * Those deleted not long ago too.
     *
     * @return \Illuminate\Database\Eloquent\Builder<Plan>
     */
    public function allPlans(): \Illuminate\Database\Eloquent\Builder
    {
        return Plan::withTrashed()->where('owner_id', $this->id);
    }

    /** @return HasMany<Plan, $this> */
    public function plans(): HasMany
    {
        return $this->hasMany(Plan::class, 'owner_id');
    }
}
