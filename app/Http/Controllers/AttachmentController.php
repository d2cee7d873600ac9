<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Attachment;
use App\Models\Plan;
use App\Rules\Id;
use App\Store\Attachments;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Files on sources and topics: kept, given out as downloads, and taken off. */
final class AttachmentController
{
    public function index(Plan $plan): JsonResponse
    {
        return response()->json(['files' => (object) Attachments::of($plan->id)]);
    }

    /** A file, or the readable text of a page. */
    public function store(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate([
            'id' => ['required', new Id()],
            'holder' => ['required', new Id()],
            'name' => ['nullable', 'string', 'max:255'],
        ]);
        $file = $request->file('file');
        $text = Given::text($request, 'text');
        if ($text === '' && (!($file instanceof UploadedFile) || !$file->isValid())) {
            return response()->json(['message' => 'The file did not arrive. A file may have 20 MB at most.'], 422);
        }
        try {
            Attachments::keep(
                $plan->id,
                $given['id'],
                $given['holder'],
                $file instanceof UploadedFile ? $file->getClientOriginalName() : ($given['name'] ?? 'Text') . '.txt',
                $file instanceof UploadedFile ? (string) file_get_contents($file->getPathname()) : $text,
            );
        } catch (\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['files' => Attachments::of($plan->id)[$given['holder']] ?? []]);
    }

    /** Never shown in place: whatever is in a file, the browser only saves it. */
    public function show(Plan $plan, Attachment $attachment): StreamedResponse
    {
        Attachments::open($attachment) ?? abort(404);

        return Attachments::download($attachment);
    }

    public function destroy(Request $request, Plan $plan, string $attachment): JsonResponse
    {
        $one = $plan->attachments()->where('id', $attachment)->first() ?? abort(404);
        Attachments::remove($one, $request->boolean('back'));

        return response()->json(['removed' => !$request->boolean('back')]);
    }
}
