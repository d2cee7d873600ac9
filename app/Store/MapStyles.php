<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Id\Ulid;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Style;
use Embrel\MalformedShape;

/** The styles of the map that a person keeps under names, beside those of ours. */
final class MapStyles
{
    private static function own(): UnderNames
    {
        $ours = array_map(static fn(Style $style): string => $style->dress()->name, Style::cases());

        return new UnderNames('map_styles', 'body', 'styles', $ours);
    }

    /** @return array<string, Dress> by id, in the order of their names */
    public static function kept(User $user): array
    {
        return array_map(static fn(array $one): Dress => Dress::of($one['value']), self::own()->all($user));
    }

    public static function find(User $user, string $id): ?Dress
    {
        $own = self::own()->find($user, $id);

        return $own === null ? null : Dress::of($own);
    }

    /**
     * Keeps a style under its name; one of that name is changed.
     *
     * @return string its id
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function keep(User $user, Dress $dress): string
    {
        if ($dress->picture !== '' && MapBacks::bytes($user, $dress->picture) === null) {
            throw new \DomainException('The picture of this style is not there any more. Choose it again.');
        }

        return self::own()->keep($user, $dress->name, $dress->toArray());
    }

    public static function forget(User $user, string $id): void
    {
        self::own()->forget($user, 'id', $id);
    }

    /**
     * Takes in the file of a style that somebody gave, under its name or, where that is taken, one beside it.
     *
     * @return string its id
     *
     * @throws \DomainException|MalformedShape
     */
    public static function takeIn(User $user, string $file): string
    {
        [$dress, $picture] = DressFile::read($file);
        $name = self::own()->free($user, $dress->name === '' ? 'A style from a file' : $dress->name, Dress::NAME);
        $settings = ['name' => $name, 'picture' => $picture === null ? '' : MapBacks::keep($user, $picture)];

        return self::keep($user, Dress::of($settings + $dress->toArray()));
    }

    /**
     * How a person wants to see a map: as Look::from, and in a style of their own, kept (`own`, its id) or being made
     * (`dress`, its settings).
     *
     * @param array<array-key, mixed> $stored
     */
    public static function look(?User $user, array $stored): Look
    {
        $look = Look::from($stored);
        $id = \is_string($stored['own'] ?? null) && Ulid::isValid($stored['own']) ? $stored['own'] : '';
        if (\is_array($stored['dress'] ?? null)) {
            try {
                return $look->dressed(Dress::of($stored['dress']), $id);
            } catch (MalformedShape) {
                return $look;
            }
        }
        $own = $user === null || $id === '' ? null : self::find($user, $id);

        return $own === null ? $look : $look->dressed($own, $id);
    }
}
