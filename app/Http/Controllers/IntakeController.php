<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\IntakeRequest;
use App\Models\TaskKind;
use App\Store\Intakes;
use App\Store\PlanList;
use App\Store\Tasks;
use App\Store\WaitingFiles;
use Embrel\Intake\Outline;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Takes in pasted text or a file: first shows the tree that it makes, then keeps it as a plan or as a branch. */
final class IntakeController
{
    /** A file larger than this is taken in through the queue. */
    private const GENERATED = 'This looks like an outline that a program has written: it is taken without its marks and numbers, and without '
        . 'what stands around it.';
    private const LARGE = 1024 * 1024;
    /** Of what was left out, in characters, for each piece. */
    private const SHOWN = 4000;

    public function __construct(private readonly Intakes $intakes, private readonly WaitingFiles $waiting) {}

    public function create(Request $request, PlanList $list): View
    {
        return view('plans.intake', [
            'plans' => $list->names(Given::person($request)),
            'into' => Given::text($request, 'into') ?: null,
            'under' => Given::text($request, 'under') ?: null,
            'waits' => Given::text($request, 'file') ?: null,
            'extensions' => implode(',', Format::extensions()),
        ]);
    }

    /** A file comes up once, and waits until it is taken in. */
    public function upload(IntakeRequest $request): JsonResponse
    {
        $file = $request->file('file');
        if (!($file instanceof UploadedFile)) {
            throw Unreadable::gone();
        }
        $name = $file->getClientOriginalName();
        Format::ofPath($name);
        $size = $file->getSize();

        return response()->json([
            'token' => $this->waiting->keep(Given::person($request), $file),
            'name' => mb_scrub($name),
            'size' => $size,
        ]);
    }

    public function waits(Request $request, string $token): JsonResponse
    {
        $found = $this->waiting->find(Given::person($request), $token) ?? abort(404);

        return response()->json(['token' => $token, 'name' => $found->name, 'size' => $found->size()]);
    }

    public function forget(Request $request, string $token): Response
    {
        $this->waiting->forget(Given::person($request), $token);

        return response()->noContent();
    }

    public function preview(IntakeRequest $request): JsonResponse
    {
        ['in' => $in, 'format' => $format, 'name' => $name] = $request->source($this->waiting);
        $options = IntakeRequest::options($request->validated(), $name, $request->isPasted());
        $result = $this->intakes->read($in, $format, $options);

        $title = $result->plan->title();
        $isGenerated = $request->generated() !== null;

        return response()->json(
            Outline::of($result->plan) + [
                'isMarkdown' => $request->isPasted() && $request->isMarkdown(),
                'firstIsTitle' => $options->firstIsTitle ?? $title !== $options->title,
                'isGenerated' => $isGenerated,
                'repairs' => $isGenerated ? [self::GENERATED, ...$result->repairs] : $result->repairs,
                'leftOut' => array_map(
                    static fn(array $one): array => ['text' => mb_strimwidth($one['text'], 0, self::SHOWN, '…')] + $one,
                    $result->leftOut,
                ),
                'boldLines' => $result->boldLines,
                'boldAreTaken' => $result->boldAreTaken,
                'isDocument' => $format->isDocument(),
            ],
        );
    }

    public function store(IntakeRequest $request, Tasks $tasks): JsonResponse
    {
        $user = Given::person($request);
        $token = $request->string('token')->toString();
        [$into, $under] = [Given::text($request, 'into'), Given::text($request, 'under')];
        $found = $token === '' ? null : $this->waiting->find($user, $token);
        if ($found !== null && $found->size() > self::LARGE) {
            $given = [
                'token' => $token,
                'into' => $into,
                'under' => $under,
                'choices' => array_diff_key($request->validated(), ['file' => 1, 'text' => 1]),
            ];

            $task = $tasks->start($user, TaskKind::Intake, $given, $found->size());

            return response()->json(['task' => route('task', $task->id)], 202);
        }
        ['in' => $in, 'format' => $format, 'name' => $name] = $request->source($this->waiting);
        $options = IntakeRequest::options($request->validated(), $name, $request->isPasted());
        $kept = $this->intakes->keep($user, $in, $format, $options, $into, $under);
        $this->waiting->forget($user, $token);

        return response()->json([
            'address' => route('plan', $kept['plan']),
            'title' => $kept['plan']->title,
            'repairs' => $kept['repairs'],
        ]);
    }
}
