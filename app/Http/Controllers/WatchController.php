<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Picture;
use App\Models\Showing;
use App\Store\PlanPictures;
use App\Store\PlanStore;
use App\Store\Showings;
use App\Store\ShowView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as Answer;

/** A screen on another machine, which follows who shows a plan. It needs no account, sees no notes, and is found by no search engine. */
final class WatchController
{
    public function show(string $end, PlanStore $store): Answer
    {
        $showing = self::showing($end);

        return self::unlisted(response()->view('present.watch', [
            'plan' => $showing->plan,
            'deck' => self::view($showing, $store)->deck(false),
            'end' => $end,
            'at' => $showing->at,
        ]));
    }

    public function deck(string $end, PlanStore $store): JsonResponse
    {
        return response()->json(self::view(self::showing($end), $store)->deck(false));
    }

    /** Where the speaker is; `print` is another when the steps are others. */
    public function at(string $end): JsonResponse
    {
        $showing = self::showing($end);

        return response()->json($showing->at + ['print' => ShowView::print($showing->plan, $showing->user)]);
    }

    public function map(string $end, PlanStore $store): JsonResponse
    {
        return response()->json(self::view(self::showing($end), $store)->map());
    }

    public function picture(string $end, string $picture, PlanStore $store): Answer
    {
        $showing = self::showing($end);
        abort_unless(self::view($showing, $store)->shows($picture), 404);
        $kept = Picture::query()->where('plan_id', $showing->plan_id)->where('id', $picture)->first() ?? abort(404);
        $bytes = (new PlanPictures($showing->plan_id))->bytes($picture) ?? abort(404);

        return self::unlisted(new Response($bytes, 200, ['Content-Type' => $kept->type]));
    }

    private static function showing(string $end): Showing
    {
        return Showings::find($end) ?? abort(404);
    }

    private static function view(Showing $showing, PlanStore $store): ShowView
    {
        return new ShowView($showing->plan, $showing->user, $store);
    }

    private static function unlisted(Answer $answer): Answer
    {
        $answer->headers->set('X-Robots-Tag', 'noindex, nofollow, noarchive');

        return $answer;
    }
}
