<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Plan;
use App\Rules\Id;
use App\Store\MapStyles;
use App\Store\MapView;
use App\Store\PlanRows;
use App\Store\Sight;
use Embrel\Layout\Map\Legible;
use Embrel\Layout\Map\Look;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;

/**
 * What a page asks of the map: `{look, folded, start, known}`, and `room`, width and height, where it is to be folded
 * so far that the whole can be read. What is none of what it can be is as usual.
 */
final class MapRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['map' => ['required', 'array'], 'keep' => ['sometimes', 'boolean']];
    }

    public static function look(Request $request): Look
    {
        $look = $request->json('map.look');

        return MapStyles::look($request->user(), \is_array($look) ? $look : []);
    }

    /** @return array<string, mixed>|null the map as asked for beside something else; null where it was not */
    public static function told(Request $request, Sight $sight): ?array
    {
        $asked = $request->json('map');
        if (!\is_array($asked)) {
            return null;
        }
        $ids = static fn(mixed $given): array => array_values(array_filter(\is_array($given) ? $given : [], Id::fits(...)));
        $known = array_filter(\is_array($asked['known'] ?? null) ? $asked['known'] : [], \is_string(...));

        $plan = $request->route('plan');
        $relations = $plan instanceof Plan ? PlanRows::relations($plan->id) : [];

        $look = self::look($request);
        [$width, $height] = \is_array($asked['room'] ?? null) ? [$asked['room'][0] ?? 0, $asked['room'][1] ?? 0] : [0, 0];
        if (is_numeric($width) && is_numeric($height) && $width > 0 && $height > 0) {
            $folded = Legible::folded($sight->plan, $sight->numbering(), $sight->totals(), $look, [(float) $width, (float) $height]);

            return ['folded' => $folded] + MapView::of($sight, $look, $folded, null, $known, $relations);
        }

        return MapView::of($sight, $look, $ids($asked['folded'] ?? []), $ids([$asked['start'] ?? null])[0] ?? null, $known, $relations);
    }
}
