<?php

declare(strict_types=1);

namespace App\Models;

use App\Rules\Address;
use App\Store\Letters;
use App\Store\NoticeKind;
use Illuminate\Database\Eloquent\Casts\Attribute;
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
 * @property array<string, string>|null $letters kind of notice → when a letter comes
 * @property string|null $totp_secret sealed; null: one signs in with the password alone
 * @property int $totp_step the step of the code that was used last
 * @property list<string>|null $recovery_codes prints of those that are left
 * @property bool $has_password false: one signs in by the organisation alone
 * @property bool $is_administrator
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property int|null $quota in bytes; null: as for everybody
 * @property int|null $plans_count
 */
final class User extends Authenticatable
{
    use Notifiable;

    /** What one is called of whom no account is left. */
    public const GONE = 'A deleted account';

    protected $table = 'users';

    /** Sessions that are to stay are kept longer; there is no second way in. */
    protected $rememberTokenName = '';
    protected $fillable = ['name', 'email', 'password', 'time_zone', 'language', 'letters'];
    protected $hidden = ['password', 'totp_secret', 'recovery_codes'];
    protected $attributes = [
        'time_zone' => 'UTC',
        'language' => 'en',
        'totp_step' => -1,
        'has_password' => true,
        'is_administrator' => false,
    ];

    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'letters' => 'array',
            'totp_step' => 'integer',
            'recovery_codes' => 'array',
            'has_password' => 'boolean',
            'is_administrator' => 'boolean',
            'closed_at' => 'datetime',
            'quota' => 'integer',
        ];
    }

    /** The calendar date where the person is. */
    public function today(): string
    {
        return now($this->time_zone)->format('Y-m-d');
    }

    /** When they are written to about what is said. */
    public function letters(NoticeKind $kind): Letters
    {
        return Letters::tryFrom($this->letters[$kind->value] ?? '') ?? $kind->usual();
    }

    /** In the one spelling in which addresses are compared. */
    protected function email(): Attribute
    {
        return Attribute::make(set: Address::spelt(...));
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
