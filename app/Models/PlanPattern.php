<?php

declare(strict_types=1);

namespace App\Models;

use Embrel\Plan\Plan as CorePlan;
use Embrel\Plan\PlanForm;
use Embrel\Shape;
use Illuminate\Database\Eloquent\Model;

/**
 * A pattern of plans that a person keeps under a name.
 *
 * @property string               $id
 * @property int                  $user_id
 * @property string               $name
 * @property array<string, mixed> $body  the stored form of a plan
 * @property array<string, mixed> $shown what is shown of it before it is chosen (OwnPattern::shown)
 */
final class PlanPattern extends Model
{
    use UlidKey;

    protected $table = 'patterns';
    protected $guarded = [];

    protected function casts(): array
    {
        return ['body' => 'array', 'shown' => 'array'];
    }

    public function plan(): CorePlan
    {
        return PlanForm::plan(new Shape($this->body, 'pattern'));
    }
}
