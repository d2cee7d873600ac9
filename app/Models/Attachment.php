<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file that hangs on a source or a topic; its bytes are on the disk of attachments (App\Store\Attachments).
 *
 * @property string                          $plan_id
 * @property string                          $id
 * @property string                          $holder     the source, topic or comment
 * @property string                          $name
 * @property string                          $type       media type
 * @property int                             $bytes      how many
 * @property string                          $hash       SHA-256 of them
 * @property \Illuminate\Support\Carbon|null $removed_at taken off, and kept as long as there is room
 */
final class Attachment extends Model
{
    protected $table = 'attachments';
    public $incrementing = false;
    public $timestamps = false;
    protected $keyType = 'string';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['bytes' => 'integer', 'removed_at' => 'datetime'];
    }

    /** @return string|null sound or film, where it can be played; else null */
    public function plays(): ?string
    {
        return ['audio' => 'sound', 'video' => 'film'][strstr($this->type, '/', true)] ?? null;
    }

    public function path(): string
    {
        return "{$this->plan_id}/{$this->hash}";
    }

    /** An id is one of its plan's. */
    protected function setKeysForSaveQuery($query)
    {
        return parent::setKeysForSaveQuery($query)->where('plan_id', $this->plan_id);
    }
}
