<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\PlanPattern;
use App\Models\User;
use Embrel\Id\Ids;
use Embrel\Id\Ulid;
use Embrel\Intake\OwnPattern;
use Embrel\Intake\Pattern;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;

/** Patterns to start from, and to set under a topic: a person's own, and those of ours. */
final readonly class Patterns
{
    private const MOST = 100;
    /** Bytes of one, as it is stored. */
    private const LARGEST = 4 * 1024 * 1024;
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    public function __construct(private Ids $ids) {}

    /** @return list<array<string, mixed>> their own first, by name: id, name, own, and what is shown of each (OwnPattern::shown) */
    public function all(User $user): array
    {
        $all = [];
        foreach (PlanPattern::query()->where('user_id', $user->id)->orderBy('name')->get(['id', 'name', 'shown']) as $one) {
            $all[] = ['id' => $one->id, 'name' => $one->name, 'own' => true] + $one->shown;
        }
        foreach (Pattern::cases() as $one) {
            $shown = OwnPattern::shown($one->plan($one->label(), '', $this->ids));
            $all[] = ['id' => $one->value, 'name' => $one->label(), 'own' => false] + $shown;
        }

        return $all;
    }

    /** One of ours by its name, or one of theirs by its id; null: there is none. */
    public function find(User $user, string $id): ?Plan
    {
        $ours = Pattern::tryFrom($id);
        if ($ours !== null || !Ulid::isValid($id)) {
            return $ours?->plan($ours->label(), '', $this->ids);
        }

        return PlanPattern::query()->firstWhere(['user_id' => $user->id, 'id' => $id])?->plan();
    }

    /**
     * Keeps a pattern; one of that name is kept anew.
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, Plan $pattern): PlanPattern
    {
        $own = PlanPattern::query()->where('user_id', $user->id);
        $one = $own->clone()->where('name', $pattern->title())->first();
        if ($one === null && $own->count() >= self::MOST) {
            throw new \DomainException('A hundred patterns are kept already. Remove one that is not needed first.');
        }
        $body = PlanForm::toArray($pattern);
        if (\strlen(json_encode($body, self::JSON)) > self::LARGEST) {
            throw new \DomainException('This is more than a pattern can hold (4 MB). Keep it without its notes, or a branch of it.');
        }
        $one ??= new PlanPattern(['id' => $this->ids->next(), 'user_id' => $user->id, 'name' => $pattern->title()]);
        $one->fill(['body' => $body, 'shown' => OwnPattern::shown($pattern)])->save();

        return $one;
    }
}
