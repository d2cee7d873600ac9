<?php

declare(strict_types=1);

namespace App\Models;

use Embrel\Document\Template;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Storage;

/**
 * A document of a person's own whose styles drafts take on; its bytes are on the disk of templates, under its id.
 *
 * @property string                     $id
 * @property int                        $user_id
 * @property string                     $name
 * @property string                     $kind    docx or odt
 * @property array<string, string>|null $choices which of its styles each of ours takes, where the person has said so
 */
final class DraftTemplate extends Model
{
    use UlidKey;

    public const DISK = 'templates';

    protected $table = 'templates';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['choices' => 'array'];
    }

    public function template(): Template
    {
        $bytes = (string) Storage::disk(self::DISK)->get($this->id);

        return new Template($this->kind, $bytes, array_filter($this->choices ?? [], \is_string(...)));
    }
}
