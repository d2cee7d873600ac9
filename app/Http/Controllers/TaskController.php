<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Store\Tasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Long work: how far it is, and the file that came of it. */
final class TaskController
{
    public function __construct(private readonly Tasks $tasks) {}

    public function show(Request $request, string $task): JsonResponse
    {
        return response()->json($this->tasks->find($request->user() ?? abort(401), $task) ?? abort(404));
    }

    public function file(Request $request, string $task): BinaryFileResponse
    {
        $found = $this->tasks->find($request->user() ?? abort(401), $task);
        $name = $found['result']['name'] ?? null;
        $type = $found['result']['type'] ?? null;
        if (!\is_string($name) || !\is_string($type) || !is_file(Tasks::path($task))) {
            abort(404);
        }

        return response()->download(Tasks::path($task), $name, ['Content-Type' => $type]);
    }
}
