<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Store\Attachments;
use App\Store\PersonalState;
use App\Store\PlanStore;
use App\Store\WorkFolder;
use Embrel\Draft\Draft;
use Embrel\Layout\Map\Sheets;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Format;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\Losses;
use Embrel\Writer\Map\Drawing;
use Embrel\Writer\Svg\FontFolder;
use Embrel\Writer\Svg\SvgWriter;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class HandOverController
{
    public function __construct(private readonly PlanStore $store) {}

    public function show(Request $request, Plan $plan, PersonalState $personal): View
    {
        Gate::authorize('view', $plan);
        $tree = $this->store->load($plan);
        $numbering = Numbering::of($tree);
        $branches = [];
        foreach ($tree->walk() as $id => $level) {
            if ($level <= 3 && $tree->topic($id)->kind === Kind::Section) {
                $branches[] = ['id' => $id, 'name' => str_repeat("\u{2003}", $level - 1) . trim($numbering->own($id) . ' ' . $tree->topic($id)->title)];
            }
        }

        return view('plans.hand-over', ['plan' => $plan, 'branches' => $branches, 'properties' => $tree->properties, 'strip' => $plan->strip ?? [],
            'chosen' => Format::tryFrom(Given::text($request, 'format'))->value ?? Format::Docx->value,
            'files' => array_merge(...array_values(Attachments::of($plan->id))), 'seen' => $request->boolean('seen'), 'look' => $personal->map($request->user() ?? abort(401), $plan),
        ]);
    }

    public function preview(HandOverRequest $request, Plan $plan): View
    {
        $tree = $this->store->load($plan, true);
        if ($request->writing()->isMap()) {
            return view('plans.map-preview', ['address' => route('hand-over.file', $plan) . '?' . http_build_query(['format' => 'svg', 'shown' => 1, 'fonts' => 1] + $request->query()), 'title' => $plan->title]);
        }
        $losses = new Losses();
        $document = Draft::of($tree, $request->choices($tree));
        $outline = $request->writing()->isOutline();

        return view('plans.preview', [
            'document' => $document,
            'body' => (new HtmlWriter($losses, static fn(string $id): string => route('plan.picture', [$plan, $id])))->body($document),
            'words' => $document->words(),
            'losses' => $losses->sentences(),
            'isOutline' => $outline,
            'emptySections' => \count(array_filter($tree->topics, static fn($topic): bool => !CorePlan::isFixed($topic->id) && $topic->kind === Kind::Section && !$topic->noted && $tree->parts($topic->id) === [] && $tree->home($topic->id) === CorePlan::ROOT)),
        ]);
    }

    /** The map alone, on sheets of paper. */
    public function sheets(HandOverRequest $request, Plan $plan): View
    {
        $tree = $this->store->load($plan, true);
        $choices = $request->choices($tree);
        $drawing = new Drawing($tree, $choices);

        return view('plans.sheets', ['title' => $plan->title, 'svg' => SvgWriter::element($drawing, 'map'), 'sheets' => Sheets::of($drawing->room(), $choices->paper ?? $tree->properties->pageSize, $choices->severalSheets)]);
    }

    public function download(HandOverRequest $request, Plan $plan): StreamedResponse
    {
        $format = $request->writing();
        $fonts = FontFolder::ofPackages();
        $tree = $this->store->load($plan, true);
        $choices = $request->choices($tree);
        $name = WorkFolder::fileName($choices->from === CorePlan::ROOT ? $plan->title : $tree->topic($choices->from)->title);

        return response()->streamDownload(static function () use ($format, $fonts, $tree, $choices): void {
            WorkFolder::with(static function (string $folder) use ($format, $fonts, $tree, $choices): void {
                $out = fopen('php://output', 'w') ?: throw new \RuntimeException('The answer cannot be written.');
                $format->writer($fonts)->write($tree, $choices, $out, $folder);
                fclose($out);
            });
        }, "{$name}.{$format->value}", ['Content-Type' => $format->mediaType()], $request->boolean('shown') ? 'inline' : 'attachment');
    }
}
