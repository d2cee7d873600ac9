<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\Given;
use App\Models\Plan;
use App\Pages\PageReader;
use App\Pages\PageUnreadable;
use App\Pages\WorkFinder;
use App\Store\News;
use App\Store\PlanRows;
use App\Store\PlanSources;
use App\Store\PlanStore;
use Embrel\Check\Citing;
use Embrel\Citation\Duplicates;
use Embrel\Citation\Label;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\SourceKind;
use Embrel\Citation\Terms;
use Embrel\Citation\TypedSource;
use Embrel\Citation\WorkNumber;
use Embrel\Id\Ids;
use Embrel\Operation\AddSources;
use Embrel\Reader\SourceFormat as Reading;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Schema;
use Embrel\Writer\SourceFormat as Writing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/** The sources of a plan: listed, read out of what was typed or given, and handed over. They change by operations. */
final class SourceController
{
    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    public function index(Plan $plan): JsonResponse
    {
        return response()->json(PlanSources::list($plan, $this->store->load($plan, true)));
    }

    /** What a typed line makes, to be confirmed. */
    public function typed(Request $request, Plan $plan): JsonResponse
    {
        $typed = TypedSource::read(mb_strcut(Given::text($request, 'line'), 0, 8000), $this->ids->next());

        return response()->json($this->told($plan, $typed->source) + [
            'pages' => $typed->pages,
            'number' => WorkNumber::of(Given::text($request, 'line')) !== null,
        ]);
    }

    /** The work that has a number, as a source to be confirmed. */
    public function number(Request $request, Plan $plan, WorkFinder $works): JsonResponse
    {
        $number = WorkNumber::of(mb_substr(Given::text($request, 'line'), 0, 300));
        try {
            $source = $number === null ? throw PageUnreadable::noNumber() : $works->find($number);
        } catch (PageUnreadable $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json($this->told($plan, $source));
    }

    /** A date as it is typed, in its stored form; empty for none. */
    public function date(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(['date' => PartialDate::typed(mb_substr(Given::text($request, 'typed'), 0, 60))?->stored() ?? '']);
    }

    /** What a page of the web says of itself, as a source to be confirmed. */
    public function page(Request $request, Plan $plan, PageReader $reader): JsonResponse
    {
        $address = trim(Given::text($request, 'address'));
        $address = preg_match('/\A[a-z]+:/i', $address) === 1 ? $address : "https://{$address}";
        try {
            $page = \strlen($address) > 2000 ? throw PageUnreadable::noAddress() : $reader->read($address);
        } catch (PageUnreadable $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
        $source = (new Source(
            $this->ids->next(),
            $page->title === '' ? $address : $page->title,
            SourceKind::WebPage,
            $page->authors,
            date: $page->date,
            accessed: PartialDate::of(now()->format('Y-m-d')),
        ))->with(['url' => Schema::isSafeLink($address) ? $address : '', 'container' => $page->site, 'language' => $page->language]);

        return response()->json($this->told($plan, $source) + ['text' => $page->text]);
    }

    /** @return array<string, mixed> */
    private function told(Plan $plan, Source $source): array
    {
        return [
            'source' => SourceForm::toArray($source),
            'label' => Label::ofSource($source, Terms::of($plan->language)),
            'like' => (new Duplicates(PlanRows::sources($plan->id)))->of($source),
        ];
    }

    /** How a citation is called, and printed. */
    public function cited(Request $request, Plan $plan): JsonResponse
    {
        try {
            $citation = Schema::inline([
                'type' => 'citation',
                'attrs' => ['items' => json_decode(Given::text($request, 'items'), true, 8)],
            ]);
        } catch (InvalidNote) {
            abort(422);
        }

        return response()->json(PlanSources::cited($plan, $citation));
    }

    public function elsewhere(Request $request, Plan $plan): JsonResponse
    {
        return response()->json([
            'sources' => PlanSources::elsewhere($plan, Given::person($request), mb_strcut(Given::text($request, 'typed'), 0, 200)),
        ]);
    }

    /** Takes in a file or pasted text of sources; those that the plan has already are left out, and it is said. */
    public function store(Request $request, Plan $plan): JsonResponse
    {
        $base = (int) $request->validate(['base' => ['required', 'integer', 'min:0']])['base'];
        $file = $request->file('file');
        $read = Reading::read(
            $file instanceof UploadedFile && $file->isValid()
                ? (string) file_get_contents($file->getPathname())
                : Given::text($request, 'text'),
            $this->ids,
        );
        $user = Given::person($request);

        return $this->store->locked($plan, function () use ($plan, $user, $base, $read): JsonResponse {
            $known = new Duplicates(PlanRows::sources($plan->id));
            $new = [];
            foreach ($read->sources as $source) {
                if ($known->of($source) === null) {
                    $known->add($source);
                    $new[] = $source;
                }
            }
            $doubled = \count($read->sources) - \count($new);
            $said = [
                ...$read->said,
                ...$doubled === 0
                    ? []
                    : [
                        "{$doubled} "
                        . ($doubled === 1 ? 'is' : 'are')
                        . ' among the sources already and '
                        . ($doubled === 1 ? 'was' : 'were')
                        . ' left out.',
                    ],
            ];
            if ($new === []) {
                return response()->json(['added' => 0, 'said' => $said]);
            }
            $outcome = $this->store->insist($plan, $user, $this->store->change(new AddSources($new)));

            return response()->json(['added' => \count($new), 'said' => $said] + News::of($plan, $user, $base, $outcome));
        });
    }

    public function file(Request $request, Plan $plan): Response
    {
        $given = $request->validate(['format' => ['required', Rule::enum(Writing::class)], 'cited' => ['nullable', 'boolean']]);
        $format = Writing::from($given['format']);
        $sources = PlanRows::sources($plan->id);
        if ($request->boolean('cited')) {
            $sources = array_intersect_key($sources, Citing::of($this->store->load($plan, true))->places);
        }

        $written = $format->written(array_values($sources));

        return Download::text($written, $format->mediaType(), $plan->title, 'sources', $format->extension());
    }
}
