<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A question put to all who may comment, on some topics of a plan.
 *
 * @property string                          $id
 * @property string                          $plan_id
 * @property string                          $question
 * @property int                             $signs     that each person has
 * @property bool                            $is_secret not counted in the open until it is closed
 * @property list<string>                    $topics
 * @property \Illuminate\Support\Carbon|null $closed_at
 * @property \Illuminate\Support\Carbon      $created_at
 */
final class Vote extends Model
{
    use UlidKey;

    public const UPDATED_AT = null;

    protected $table = 'votes';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['signs' => 'integer', 'is_secret' => 'boolean', 'topics' => 'array', 'closed_at' => 'datetime', 'created_at' => 'datetime'];
    }
}
