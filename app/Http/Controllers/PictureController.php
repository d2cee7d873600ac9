<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Picture;
use App\Models\Plan;
use App\Store\PictureIntake;
use App\Store\PlanPictures;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Takes a picture in, and shows it. */
final class PictureController
{
    public function store(Request $request, Plan $plan): JsonResponse
    {
        $file = $request->file('picture');
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            return response()->json(['message' => 'The picture did not arrive. A picture may have 10 MB at most.'], 422);
        }
        try {
            $taken = PictureIntake::of((string) file_get_contents($file->getPathname()));
        } catch (\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
        (new PlanPictures($plan->id))->keep($taken->bytes);

        return response()->json(['picture' => $taken->picture()->value(), 'said' => $taken->said]);
    }

    public function show(Plan $plan, Picture $picture): Response
    {
        $bytes = (new PlanPictures($plan->id))->bytes($picture->id) ?? abort(404);

        return new Response($bytes, 200, ['Content-Type' => $picture->type]);
    }
}
