<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\Given;
use App\Models\Plan;
use App\Store\NewIds;
use App\Store\PlanSchedule;
use App\Store\PlanStore;
use Embrel\Calendar\BroughtBack;
use Embrel\Calendar\Calendar;
use Embrel\Calendar\DaysFile;
use Embrel\Calendar\DaysTable;
use Embrel\Pace\Says;
use Embrel\Reader\Unreadable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** The days of the work on a plan: shown, handed out as a calendar or a table, and read back. */
final class ScheduleController
{
    /** A file of days, in KiB. */
    private const LARGEST = 2_048;

    public function __construct(private readonly PlanStore $store) {}

    public function show(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(PlanSchedule::told($plan, $this->store->load($plan), Given::person($request)));
    }

    public function calendar(Plan $plan): Response
    {
        $calendar = Calendar::write($this->store->load($plan), $plan->id, now()->utc()->format('Ymd\THis\Z'));

        return Download::text($calendar, 'text/calendar; charset=utf-8', $plan->title, 'schedule', 'ics');
    }

    public function table(Plan $plan): Response
    {
        $table = DaysTable::write($this->store->load($plan));

        return Download::text($table, 'text/csv; charset=utf-8', "{$plan->title} schedule", 'schedule', 'csv');
    }

    /** What a file would change: in words, and as the operation that does it. */
    public function read(Request $request, Plan $plan, NewIds $ids): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:' . self::LARGEST]], ['file.max' => 'A file of days has 2 MB at most.']);
        $file = $request->file('file');
        $in = $file instanceof UploadedFile ? fopen($file->path(), 'r') : false;
        $user = Given::person($request);
        try {
            $read = DaysFile::read($in ?: abort(422), $user->time_zone);
        } catch (Unreadable $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
        $back = BroughtBack::of($this->store->load($plan), $read, $ids);

        return response()->json([
            'changed' => array_map(static fn(array $one): array => [
                'topic' => $one['topic'],
                'title' => $one['title'],
                'says' => Says::work($one['set'], $user->today()),
            ], $back->changed),
            'new' => array_map(static fn($topic): string => $topic->title === '' ? 'Untitled' : $topic->title, $back->new),
            'same' => $back->same,
            'operation' => $back->operation()?->toArray(),
        ]);
    }
}
