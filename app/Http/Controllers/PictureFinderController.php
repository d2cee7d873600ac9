<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Pages\FoundPicture;
use App\Pages\PageUnreadable;
use App\Pages\PictureFinder;
use App\Store\PictureIntake;
use App\Store\PlanPictures;
use App\Store\PlanRows;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ids;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Pictures of a service: looked for by words, shown small, and taken over with a source that says whose they are. */
final class PictureFinderController
{
    public function __construct(private readonly PictureFinder $finder, private readonly Ids $ids) {}

    public function index(Request $request, Plan $plan): JsonResponse
    {
        $words = trim(Given::text($request, 'words'));
        try {
            $found = $words === '' ? [] : $this->finder->find($words);
        } catch (PageUnreadable $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['pictures' => array_map(static fn(FoundPicture $one): array => [
            'id' => $one->id,
            'title' => $one->title,
            'author' => $one->author,
            'licence' => $one->licence,
        ], $found)]);
    }

    /** Small, to be chosen from: written anew by us, so that it is a picture and nothing else. */
    public function small(Plan $plan, string $found): Response
    {
        try {
            $small = PictureIntake::of($this->finder->bytes($found, true));
        } catch (PageUnreadable|\DomainException) {
            abort(404);
        }

        return new Response($small->bytes, 200, ['Content-Type' => $small->type]);
    }

    /** Kept as a picture of the plan; the source that it is to have is told, and becomes one with the change that puts it on a topic. */
    public function store(Plan $plan, string $found): JsonResponse
    {
        try {
            $one = $this->finder->one($found);
            $taken = PictureIntake::of($this->finder->bytes($found, false));
        } catch (PageUnreadable|\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
        (new PlanPictures($plan->id))->keep($taken->bytes);

        return response()->json([
            'picture' => $taken->picture()->value(),
            'said' => $taken->said,
            'source' => $this->source($plan, $one),
        ]);
    }

    /** @return array<string, mixed>|null null: the plan has it already */
    private function source(Plan $plan, FoundPicture $one): ?array
    {
        $remark = "Picture, {$one->licence}";
        foreach (PlanRows::sources($plan->id) as $source) {
            if ($source->title === $one->title && $source->remark === $remark && $source->url === $one->page) {
                return null;
            }
        }

        return SourceForm::toArray((new Source(
            $this->ids->next(),
            $one->title,
            SourceKind::Other,
            [Person::typed($one->author)],
            accessed: PartialDate::of(now()->format('Y-m-d')),
        ))->with(['url' => $one->page, 'remark' => $remark]));
    }
}
