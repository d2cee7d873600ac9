<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture of a plan; its bytes are on the disk of pictures (App\Store\PlanPictures).
 *
 * @property string $plan_id
 * @property string $id   SHA-256 of its bytes, as 64 hexadecimal digits
 * @property string $type media type
 * @property int    $size in bytes
 */
final class Picture extends Model
{
    protected $table = 'pictures';
    public $incrementing = false;
    public $timestamps = false;
    protected $keyType = 'string';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['size' => 'integer'];
    }
}
