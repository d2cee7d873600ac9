<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Document\Style;

/** The styles of drafts that a person keeps under names, beside the four of ours. */
final class Styles
{
    private static function own(): UnderNames
    {
        return new UnderNames('styles', 'body', 'styles', array_values(Style::labels()));
    }

    /** @return array<string, array{name: string, own: bool, settings: array<string, mixed>}> by name of ours, or id */
    public static function all(User $user): array
    {
        $all = [];
        foreach (Style::labels() as $name => $label) {
            $all[$name] = ['name' => $label, 'own' => false, 'settings' => Style::own($name)->toArray()];
        }
        foreach (self::own()->all($user) as $id => ['name' => $name, 'value' => $settings]) {
            $all[$id] = ['name' => $name, 'own' => true, 'settings' => Style::of($settings)->toArray()];
        }

        return $all;
    }

    /** One of ours by name or one of theirs by id; the report where there is none such. */
    public static function find(User $user, string $name): Style
    {
        $own = isset(Style::OWN[$name]) ? null : self::own()->find($user, $name);

        return $own === null ? Style::own($name) : Style::of($own);
    }

    /** @throws \DomainException with a sentence for the person */
    public static function keep(User $user, Style $style): string
    {
        return self::own()->keep($user, $style->name, $style->toArray());
    }

    public static function forget(User $user, string $id): void
    {
        self::own()->forget($user, 'id', $id);
    }
}
