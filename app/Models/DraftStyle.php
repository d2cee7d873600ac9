<?php

declare(strict_types=1);

namespace App\Models;

use Embrel\Document\Style;
use Illuminate\Database\Eloquent\Model;

/**
 * A style of drafts that a person keeps under a name.
 *
 * @property string               $id
 * @property int                  $user_id
 * @property string               $name
 * @property array<string, mixed> $body what Style::of() takes
 */
final class DraftStyle extends Model
{
    use UlidKey;

    protected $table = 'styles';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['body' => 'array'];
    }

    public function style(): Style
    {
        return Style::of($this->body);
    }
}
