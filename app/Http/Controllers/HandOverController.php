<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Store\PlanStore;
use App\Store\WorkFolder;
use Embrel\Draft\Draft;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\Losses;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class HandOverController
{
    public function __construct(private readonly PlanStore $store) {}

    public function show(Plan $plan): View
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

        return view('plans.hand-over', ['plan' => $plan, 'branches' => $branches, 'properties' => $tree->properties, 'strip' => $plan->strip ?? []]);
    }

    public function preview(HandOverRequest $request, Plan $plan): View
    {
        $tree = $this->store->load($plan, true);
        $losses = new Losses();
        $document = Draft::of($tree, $request->choices($tree));
        $outline = $request->writing()->isOutline();

        return view('plans.preview', [
            'document' => $document,
            'body' => (new HtmlWriter($losses))->body($document),
            'words' => $document->words(),
            'losses' => $losses->sentences(),
            'isOutline' => $outline,
            'emptySections' => \count(array_filter($tree->topics, static fn($topic): bool => !CorePlan::isFixed($topic->id) && $topic->kind === Kind::Section && !$topic->noted && $tree->parts($topic->id) === [] && $tree->home($topic->id) === CorePlan::ROOT)),
        ]);
    }

    public function download(HandOverRequest $request, Plan $plan): StreamedResponse
    {
        $format = $request->writing();
        $tree = $this->store->load($plan, true);
        $choices = $request->choices($tree);
        $name = WorkFolder::fileName($choices->from === CorePlan::ROOT ? $plan->title : $tree->topic($choices->from)->title);

        return response()->streamDownload(static function () use ($format, $tree, $choices): void {
            WorkFolder::with(static function (string $folder) use ($format, $tree, $choices): void {
                $out = fopen('php://output', 'w') ?: throw new \RuntimeException('The answer cannot be written.');
                $format->writer()->write($tree, $choices, $out, $folder);
                fclose($out);
            });
        }, "{$name}.{$format->value}", ['Content-Type' => $format->mediaType()]);
    }
}
