<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Telling;
use Embrel\Plan\Relation;

/** What a page is told of the map of a plan that it sees. */
final class MapView
{
    /**
     * @param list<string>            $folded
     * @param array<string, string>   $known     main section → fingerprint of what the page has of it
     * @param array<string, Relation> $relations
     *
     * @return array<string, mixed>
     */
    public static function of(
        Sight $sight,
        Look $look,
        array $folded = [],
        ?string $start = null,
        array $known = [],
        array $relations = [],
    ): array {
        return Telling::of($sight->plan, $sight->numbering(), $sight->totals(), $look, $folded, $start, $known, $relations);
    }
}
