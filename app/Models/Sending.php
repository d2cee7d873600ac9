<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file of a plan that was sent by mail to people, or waits for them behind a link.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property int                             $user_id   who sent it
 * @property list<string>                    $addresses
 * @property string                          $line      a line of one's own
 * @property array<array-key, mixed>         $choices   of the hand-over
 * @property string                          $name      of the file; empty until it is made
 * @property string                          $type
 * @property int                             $size      in bytes
 * @property bool                            $is_link   behind a link, instead of in the letter
 * @property string|null                     $token     SHA-256 of what the link ends with
 * @property string                          $state     waiting, sent or failed
 * @property string                          $says      what went wrong, or was done otherwise
 * @property string|null                     $task_id   by which it goes out
 * @property Task|null                       $task
 * @property \Illuminate\Support\Carbon|null $ends_at
 * @property \Illuminate\Support\Carbon      $created_at
 * @property Plan|null                       $plan
 * @property User|null                       $user
 */
final class Sending extends Model
{
    use UlidKey;

    public const DISK = 'sent';

    protected $guarded = [];
    protected $hidden = ['token'];
    protected $attributes = ['state' => 'waiting', 'says' => '', 'name' => ''];

    protected function casts(): array
    {
        return [
            'addresses' => 'array',
            'choices' => 'array',
            'is_link' => 'boolean',
            'size' => 'integer',
            'ends_at' => 'datetime',
        ];
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

    /** @return BelongsTo<Task, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(Task::class);
    }

    /** @return \DomainException that says the same */
    public function failed(string $says): \DomainException
    {
        $this->update(['state' => 'failed', 'says' => $says]);

        return new \DomainException($says);
    }
}
