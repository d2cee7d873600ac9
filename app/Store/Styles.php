<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\DraftStyle;
use App\Models\User;
use Embrel\Document\Style;
use Embrel\Id\Ids;

/** The styles of drafts that a person keeps under names, beside the four of ours. */
final readonly class Styles
{
    private const MOST = 50;

    public function __construct(private Ids $ids) {}

    /** @return array<string, array{name: string, own: bool, settings: array<string, mixed>}> by name of ours, or id */
    public function all(User $user): array
    {
        $all = [];
        foreach (Style::labels() as $name => $label) {
            $all[$name] = ['name' => $label, 'own' => false, 'settings' => Style::own($name)->toArray()];
        }
        foreach (DraftStyle::query()->where('user_id', $user->id)->get()->sortBy('name') as $one) {
            $all[$one->id] = ['name' => $one->name, 'own' => true, 'settings' => $one->style()->toArray()];
        }

        return $all;
    }

    /** One of ours by name or one of theirs by id; the report where there is none such. */
    public function find(User $user, string $name): Style
    {
        $own = isset(Style::OWN[$name]) ? null : DraftStyle::query()->where('user_id', $user->id)->whereKey($name)->first();

        return $own?->style() ?? Style::own($name);
    }

    /**
     * Keeps a style under its name; one of that name is changed.
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, Style $style): string
    {
        if ($style->name === '' || \in_array($style->name, Style::labels(), true)) {
            throw new \DomainException(
                $style->name === '' ? 'A style needs a name.' : "“{$style->name}” is one of Embrel’s own styles. Give yours another name.",
            );
        }
        $own = DraftStyle::query()->where('user_id', $user->id);
        $one = $own->clone()->where('name', $style->name)->first();
        if ($one === null && $own->count() >= self::MOST) {
            throw new \DomainException('Fifty styles are kept already. Remove one that is not needed first.');
        }
        $one ??= new DraftStyle(['id' => $this->ids->next(), 'user_id' => $user->id, 'name' => $style->name]);
        $one->fill(['body' => $style->toArray()])->save();

        return $one->id;
    }
}
