<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\Given;
use App\Models\User;
use App\Store\MapBacks;
use App\Store\MapStyles;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use Embrel\MalformedShape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Styles of the map that a person keeps, gives away as files and takes in from others. */
final class MapStyleController
{
    private const NONE = 'The file did not arrive. It may have 4 MB at most.';

    public function index(Request $request): JsonResponse
    {
        return $this->told(Given::person($request));
    }

    public function store(Request $request): JsonResponse
    {
        $settings = $request->json('style');

        return $this->kept(
            $request,
            static fn(User $user): string => MapStyles::keep($user, Dress::of(\is_array($settings) ? $settings : [])),
        );
    }

    public function takeIn(Request $request): JsonResponse
    {
        return $this->kept($request, static fn(User $user): string => MapStyles::takeIn($user, self::file($request, DressFile::MOST)));
    }

    /** @param \Closure(User): string $keep */
    private function kept(Request $request, \Closure $keep): JsonResponse
    {
        $user = Given::person($request);
        try {
            $id = $keep($user);
        } catch (MalformedShape|\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return $this->told($user, $id);
    }

    /** One's own; of another's nothing is said, and nothing happens. */
    public function destroy(Request $request, string $style): JsonResponse
    {
        $user = Given::person($request);
        MapStyles::forget($user, $style);

        return $this->told($user);
    }

    /** The file that is given to others. */
    public function show(Request $request, string $style): Response
    {
        $user = Given::person($request);
        $dress = MapStyles::find($user, $style) ?? abort(404);

        return Download::text(
            DressFile::write($dress, MapBacks::bytes($user, $dress->picture)),
            'application/json',
            $dress->name,
            'style',
            'map-style.json',
        );
    }

    public function keepPicture(Request $request): JsonResponse
    {
        try {
            return response()->json(['id' => MapBacks::keep(Given::person($request), self::file($request, null))]);
        } catch (\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
    }

    public function picture(Request $request, string $picture): Response
    {
        return response(MapBacks::bytes(Given::person($request), $picture) ?? abort(404), 200, ['Content-Type' => 'image/jpeg'])
            ->header('Cache-Control', 'private, max-age=31536000, immutable');
    }

    private static function file(Request $request, ?int $most): string
    {
        $file = $request->file('file');
        if (!$file instanceof UploadedFile || !$file->isValid() || ($most !== null && $file->getSize() > $most)) {
            throw new \DomainException(self::NONE);
        }

        return (string) file_get_contents($file->getPathname());
    }

    private function told(User $user, ?string $id = null): JsonResponse
    {
        $kept = array_map(static fn(Dress $dress): array => $dress->toArray(), MapStyles::kept($user));

        return response()->json(['kept' => (object) $kept, 'id' => $id]);
    }
}
