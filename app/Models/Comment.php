<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Something said about a topic, about words of its note, or about the whole plan (then `topic_id` is the root's); an
 * answer to that; or a suggestion.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property string                          $topic_id
 * @property string|null                     $thread_id   what it answers; null: it begins
 * @property int|null                        $user_id     null: someone who came by a link, or whose account is gone
 * @property string                          $name        of who said it
 * @property string                          $body
 * @property array<string, mixed>|null       $anchor      the words it is about (Comment\Anchor)
 * @property array<string, mixed>|null       $proposal    what it proposes (Comment\Suggestion)
 * @property string|null                     $outcome     of what it proposes: taken or declined
 * @property string|null                     $outcome_by
 * @property string|null                     $outcome_why
 * @property string|null                     $settled_by
 * @property int                             $revised     the change of what is said that made it what it is
 * @property int                             $placed      since which its words stand where they do
 * @property \Illuminate\Support\Carbon|null $settled_at
 * @property \Illuminate\Support\Carbon|null $edited_at
 * @property \Illuminate\Support\Carbon|null $taken_back_at
 * @property \Illuminate\Support\Carbon      $created_at
 */
final class Comment extends Model
{
    use UlidKey;

    public const UPDATED_AT = null;

    protected $table = 'comments';
    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'user_id' => 'integer',
            'anchor' => 'array',
            'proposal' => 'array',
            'revised' => 'integer',
            'placed' => 'integer',
            'settled_at' => 'datetime',
            'edited_at' => 'datetime',
            'taken_back_at' => 'datetime',
            'created_at' => 'datetime',
        ];
    }
}
