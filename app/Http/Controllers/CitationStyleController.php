<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\Given;
use App\Models\Plan;
use App\Store\CitationStyles;
use App\Store\PlanRows;
use Embrel\Citation\CitationStyle;
use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\StyleFile;
use Embrel\Citation\StyleExample;
use Embrel\Citation\StyleFinder;
use Embrel\Citation\StyleTable;
use Embrel\Writer\Html\HtmlWriter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** The styles that citations and the list can be printed in: found, looked at, brought along, given away. */
final class CitationStyleController
{
    private const TYPED = 100;

    public function __construct(private readonly CitationStyles $styles) {}

    /** Those that this person can choose for this plan, by what they typed; and journals that are printed in one of them. */
    public function index(Request $request, Plan $plan): JsonResponse
    {
        $typed = mb_substr(Given::text($request, 'find'), 0, self::TYPED);
        $mine = CitationStyles::of(Given::person($request));
        $brought = $mine + CitationStyles::ofPlan($plan);
        $names = array_map(static fn(array $one): string => $one[0], StyleTable::ALL);
        $styles = array_map(
            fn(string $key): array => $this->told($key, isset($mine[$key])),
            StyleFinder::styles($typed, $brought + $names),
        );
        $journals = array_map(
            fn(array $one): array => ['name' => $one['name']] + $this->told($one['key'], false),
            StyleFinder::journals($typed),
        );

        return response()->json(['styles' => $styles, 'journals' => $journals]);
    }

    /** @return array{key: string, label: string, as: string, group: string, own: bool, mine: bool} */
    private function told(string $key, bool $isMine): array
    {
        $style = new CitationStyle($key, $this->styles);
        $as = $style->citedAs();

        return [
            'key' => $key,
            'label' => $style->label(),
            'as' => $as->label(),
            'group' => $as->group(),
            'own' => $style->isOwn(),
            'mine' => $isMine,
        ];
    }

    /** How a few sources of the plan are cited and listed in a style. */
    public function show(Request $request, Plan $plan, string $key): JsonResponse
    {
        $chosen = $this->chosen($request, $plan, $key);
        $example = StyleExample::of($chosen, $plan->language, PlanRows::sources($plan->id));
        $writer = new HtmlWriter();

        return response()->json([
            'citations' => array_map($writer->inlines(...), $example->citations),
            'entries' => array_map($writer->inlines(...), $example->entries),
            'heading' => $example->heading,
            'notes' => $example->isInNotes,
        ] + $this->told($key, isset(CitationStyles::of(Given::person($request))[$key])));
    }

    /** One that ships, one's own, or one that the plan holds on to. */
    private function chosen(Request $request, Plan $plan, string $key): CitationStyle
    {
        $isHere = isset(StyleTable::ALL[$key])
            || isset((CitationStyles::of(Given::person($request)) + CitationStyles::ofPlan($plan))[$key]);

        return $isHere ? new CitationStyle($key, $this->styles) : abort(404);
    }

    public function takeIn(Request $request): JsonResponse
    {
        $file = $request->file('file');
        if (!$file instanceof UploadedFile || !$file->isValid() || $file->getSize() > StyleFile::BYTES) {
            return response()->json(['message' => 'The file did not arrive. A style has 1 MB at most.'], 422);
        }
        try {
            $key = $this->styles->takeIn(Given::person($request), (string) $file->get());
        } catch (CslError $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json($this->told($key, true));
    }

    /** Keeps a style that a plan was given by somebody else. */
    public function keep(Request $request, Plan $plan, string $key): JsonResponse
    {
        isset(CitationStyles::ofPlan($plan)[$key]) || abort(404);
        $this->styles->keep(Given::person($request), $key);

        return response()->json($this->told($key, true));
    }

    /** The file, to be given to others. */
    public function file(Request $request, string $key): Response
    {
        $name = CitationStyles::of(Given::person($request))[$key] ?? abort(404);

        return Download::text($this->styles->file($key) ?? abort(404), 'application/xml', $name, 'style', 'csl');
    }

    public function destroy(Request $request, string $key): Response
    {
        CitationStyles::forget(Given::person($request), $key);

        return response()->noContent();
    }
}
