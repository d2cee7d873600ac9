<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\Played;
use App\Http\Requests\AttachmentRequest;
use App\Models\Attachment;
use App\Models\Plan;
use App\Store\Attachments;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Files on sources and topics: kept, given out as downloads, and taken off. */
final class AttachmentController
{
    public function index(Plan $plan): JsonResponse
    {
        return response()->json(['files' => (object) Attachments::of($plan->id)]);
    }

    public function store(AttachmentRequest $request, Plan $plan): JsonResponse
    {
        try {
            ['name' => $name, 'file' => $file] = $request->kept();
            Attachments::keep($plan->id, $request->id(), $request->holder(), $name, $file);
        } catch (\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['files' => Attachments::of($plan->id)[$request->holder()] ?? []]);
    }

    public function show(Plan $plan, Attachment $attachment): StreamedResponse
    {
        return Download::of(Attachments::DISK, $attachment->path(), $attachment->name, $attachment->type);
    }

    /** A sound or a film, in place. */
    public function play(Request $request, Plan $plan, Attachment $attachment): Response
    {
        return $attachment->plays() === null || $attachment->removed_at !== null
            ? abort(404)
            : Played::of(Attachments::DISK, $attachment->path(), $attachment->type, $request);
    }

    public function destroy(Request $request, Plan $plan, string $attachment): JsonResponse
    {
        $one = $plan->attachments()->where('id', $attachment)->first() ?? abort(404);
        Attachments::remove($one, $request->boolean('back'));

        return response()->json(['removed' => !$request->boolean('back')]);
    }
}
