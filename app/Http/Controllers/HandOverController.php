<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AlonePage;
use App\Http\Given;
use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Models\TaskKind;
use App\Store\Attachments;
use App\Store\CompanionLetters;
use App\Store\HandedOver;
use App\Store\MapStyles;
use App\Store\PersonalState;
use App\Store\PlanChecks;
use App\Store\PlanStore;
use App\Store\Styles;
use App\Store\Tasks;
use App\Store\Templates;
use App\Store\WorkFolder;
use Embrel\Document\Document;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Map\Sheets;
use Embrel\Numbering\Numbering;
use Embrel\Pages\Book;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Feature;
use Embrel\Writer\Format;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\LeftOut;
use Embrel\Writer\Losses;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Slide;
use Embrel\Writer\SlidePages;
use Embrel\Writer\Svg\PageSvg;
use Embrel\Writer\Svg\SvgWriter;
use Embrel\Writer\WithLogo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class HandOverController
{
    /** Pages that are shown at once; the rest come as one scrolls. */
    private const PAGES = 8;
    /** Of a text that is shown as it is, in bytes. */
    private const SHOWN = 60_000;

    public function __construct(private readonly PlanStore $store) {}

    public function show(Request $request, Plan $plan, PersonalState $personal, Templates $templates): View
    {
        $user = Given::person($request);
        $tree = $this->store->load($plan);
        $numbering = Numbering::of($tree);
        $branches = [];
        $from = Given::text($request, 'from');
        foreach ($tree->walk() as $id => $level) {
            if ($id === $from || ($level <= 3 && $tree->topic($id)->kind === Kind::Section)) {
                $branches[] = [
                    'id' => $id,
                    'name' => str_repeat("\u{2003}", $level - 1) . $numbering->titled($tree->topic($id)),
                ];
            }
        }
        $kept = $personal->handOver($user, $plan);

        return view('plans.hand-over', [
            'plan' => $plan,
            'branches' => $branches,
            'from' => $from,
            'properties' => $tree->properties,
            'wasHelped' => CompanionLetters::wasHelped($plan),
            'chosen' => (
                Format::tryFrom(Given::text($request, 'format'))
                ?? (Format::tryFrom((string) ($kept['format'] ?? '')) ?? Format::Docx)
            )->value,
            'files' => array_merge(...array_values(Attachments::of($plan->id))),
            'seen' => $request->boolean('seen'),
            'look' => $personal->map($user, $plan),
            'ownMapStyles' => MapStyles::kept($user),
            'kept' => $kept,
            'serious' => PlanChecks::of($plan, $user)->serious(),
            'styles' => Styles::all($user),
            'templates' => $templates->names($user),
            'show' => $personal->present($user, $plan),
        ]);
    }

    /** What was chosen is found again at the next hand-over. */
    public function keep(HandOverRequest $request, Plan $plan, PersonalState $personal): Response
    {
        $personal->keepHandOver(Given::person($request), $plan, $request->kept());

        return response()->noContent();
    }

    public function preview(HandOverRequest $request, Plan $plan): View
    {
        $tree = $this->store->load($plan, true);
        $format = $request->writing();
        if ($format->has(Feature::Map)) {
            return view('plans.map-preview', [
                'address'
                    => route('hand-over.file', $plan)
                    . '?'
                    . http_build_query(['format' => 'svg', 'shown' => 1, 'fonts' => 1] + $request->query()),
                'title' => $plan->title,
            ]);
        }
        $choices = $request->choices($tree, HandedOver::beginning($tree));

        if ($format->has(Feature::Alone)) {
            return view('plans.alone-preview', [
                'address' => route('hand-over.file', $plan) . '?' . http_build_query(['shown' => 1] + $request->query()),
                'title' => $plan->title,
                'isLong' => HandedOver::isLong($tree),
            ]);
        }
        if ($format->has(Feature::Slides)) {
            return $this->slides($request, $plan, $tree, $choices, $format);
        }

        return $format->has(Feature::Paged)
            ? $this->pages($request, $plan, $tree, $choices, $format)
            : $this->asItIs($request, $plan, $tree, $choices, $format);
    }

    /** The pages as they are in the PDF. */
    private function pages(HandOverRequest $request, Plan $plan, CorePlan $tree, Choices $choices, Format $format): View
    {
        $document = Draft::of($tree, $choices);
        $book = self::book($document, $choices);
        $isLong = HandedOver::isLong($tree);
        $said = $request->integer('page') > 0 || $isLong ? [] : $this->text($tree, $choices, $format)[1];

        return $this->paged($request, $plan, $book, $choices, [
            self::pageCount(\count($book->pages), $format, $choices->draft->most !== null),
            number_format($this->words($request, $tree, $choices, $document)) . ' words',
            ...LeftOut::sentences($document->leftOut),
            ...$said,
        ], $isLong);
    }

    /** Slides, or sheets of them, as they are in the PDF. */
    private function slides(HandOverRequest $request, Plan $plan, CorePlan $tree, Choices $choices, Format $format): View
    {
        [$slides, $book] = self::slideBook($tree, $choices, $format);
        $count = \count($book->pages);
        $what = $format->has(Feature::Handout) ? ['sheet', 'sheets'] : ['slide', 'slides'];

        return $this->paged($request, $plan, $book, $choices, [
            number_format($count) . ' ' . $what[$count === 1 ? 0 : 1],
            ...Slide::said($slides->leftOut, $slides->gone),
        ], HandedOver::isLong($tree));
    }

    private static function book(Document $document, Choices $choices): Book
    {
        return Typesetter::book($document, Typefaces::shipped($document->properties->language), $choices->pictures);
    }

    /** @return array{SlidePages, Book} */
    private static function slideBook(CorePlan $tree, Choices $choices, Format $format): array
    {
        return SlidePages::settled($tree, $choices, Typefaces::shipped($tree->properties->language), $format->has(Feature::Handout));
    }

    /** @return list<string> pages of a book as pictures */
    private function drawn(Book $book, Plan $plan, Choices $choices, int $from, ?int $many): array
    {
        $pages = [];
        foreach (\array_slice($book->pages, $from, $many) as $i => $page) {
            $pages[] = PageSvg::of(
                $page,
                $book,
                $from + $i + 1,
                static fn(string $id): string => ($choices->pictures instanceof WithLogo ? $choices->pictures->address($id) : null)
                    ?? route('plan.picture', [$plan, $id]),
            );
        }

        return $pages;
    }

    /**
     * Some pages of a book, as they are asked for.
     *
     * @param list<string> $said about the whole
     */
    private function paged(HandOverRequest $request, Plan $plan, Book $book, Choices $choices, array $said, bool $isLong): View
    {
        $from = $request->integer('page');

        return view('plans.pages', [
            'pages' => $this->drawn($book, $plan, $choices, $from, self::PAGES),
            'count' => \count($book->pages),
            'from' => $from,
            'next' => $from + self::PAGES < \count($book->pages) ? $from + self::PAGES : null,
            'said' => $from > 0 ? [] : $said,
            'isLong' => $isLong,
        ]);
    }

    /** A file of text as it will be; a page for the web or a book as it will look. */
    private function asItIs(HandOverRequest $request, Plan $plan, CorePlan $tree, Choices $choices, Format $format): View
    {
        $document = Draft::of($tree, $choices);
        $losses = new Losses();
        if (\in_array($format, [Format::Html, Format::HtmlPages, Format::Epub], true)) {
            $body = (new HtmlWriter($losses, static fn(string $id): string => route('plan.picture', [$plan, $id])))->body($document);
            $said = $losses->sentences();
        } else {
            [$text, $said] = $this->text($tree, $choices, $format);
        }

        return view('plans.preview', [
            'document' => $document,
            'body' => $body ?? null,
            'text' => $text ?? null,
            'said' => [
                ($choices->draft->most === null ? '' : 'This is the beginning; the whole comes with the file. ')
                    . number_format($this->words($request, $tree, $choices, $document)) . ' words',
                ...$format->has(Feature::Outline) ? [] : LeftOut::sentences($document->leftOut),
                ...$said,
            ],
            'isLong' => HandedOver::isLong($tree),
        ]);
    }

    /** How many pages there are, and how far that can be relied on. */
    private static function pageCount(int $count, Format $format, bool $isBeginning): string
    {
        return ($isBeginning ? 'This is the beginning, ' : '')
            . ($count === 1 ? '1 page' : "$count pages")
            . ($isBeginning ? '; the whole comes with the file' : '')
            . ($format === Format::Pdf ? '' : ' as in PDF; your word processor may break them elsewhere');
    }

    /** Of the whole, also where its beginning alone is shown. */
    private function words(HandOverRequest $request, CorePlan $tree, Choices $choices, Document $document): int
    {
        return ($choices->draft->most === null ? $document : Draft::of($tree, $request->choices($tree)))->words();
    }

    /** @return array{string, list<string>} the beginning of the file, and what it cannot hold */
    private function text(CorePlan $tree, Choices $choices, Format $format): array
    {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
        $said = [];
        WorkFolder::with(static function (string $folder) use ($format, $tree, $choices, $out, &$said): void {
            $said = $format->writer()->write($tree, $choices, $out, $folder);
        });
        rewind($out);
        $text = mb_strcut((string) stream_get_contents($out, self::SHOWN + 4), 0, self::SHOWN);

        return [$text . (feof($out) ? '' : "\n…"), $said];
    }

    /** What a browser prints: the map alone on sheets of paper, or all pages as they are in the PDF. */
    public function sheets(HandOverRequest $request, Plan $plan): View
    {
        $tree = $this->store->load($plan, true);
        $choices = $request->choices($tree);
        $format = $request->writing();
        if (!$format->has(Feature::Map)) {
            HandedOver::isLong($tree) && abort(409, 'This plan is long: its PDF is made in the background. Hand it over from its page.');
            $book = $format->has(Feature::Slides)
                ? self::slideBook($tree, $choices, $format)[1]
                : self::book(Draft::of($tree, $choices), $choices);

            return view('plans.printed', [
                'title' => $plan->title,
                'pages' => $this->drawn($book, $plan, $choices, 0, null),
                'width' => round($book->width / Style::POINTS, 2),
                'height' => round($book->height / Style::POINTS, 2),
            ]);
        }
        $drawing = new MapDrawing($tree, $choices);

        return view('plans.sheets', [
            'title' => $plan->title,
            'svg' => SvgWriter::element($drawing, 'map'),
            'sheets' => Sheets::of($drawing->room(), $choices->map->paper ?? $tree->properties->pageSize, $choices->map->severalSheets),
        ]);
    }

    public function download(HandOverRequest $request, Plan $plan): Response|StreamedResponse
    {
        $tree = $this->store->load($plan, true);
        if ($request->boolean('shown') && $request->writing()->has(Feature::Alone)) {
            return AlonePage::of($tree, $request->choices($tree), $request->writing() === Format::Show, "'self'");
        }
        if (HandedOver::isLong($tree) && $request->writing()->has(Feature::Paged)) {
            abort(409, 'This plan is long. Its file is made in the background: hand it over from its page.');
        }
        $choices = $request->choices($tree);
        $format = $request->writing()->coming($tree, $choices);
        $name = HandedOver::name($tree, $choices, $format);

        return response()->streamDownload(
            static function () use ($format, $tree, $choices): void {
                $out = fopen('php://output', 'w') ?: throw new \RuntimeException('The answer cannot be written.');
                HandedOver::write($tree, $choices, $format, $out);
                fclose($out);
            },
            $name,
            ['Content-Type' => $format->mediaType()],
            $request->boolean('shown') ? 'inline' : 'attachment',
        );
    }

    /** A long one is made in the queue; its task tells how far it is, and where it is found. */
    public function queue(HandOverRequest $request, Plan $plan, Tasks $tasks): JsonResponse
    {
        $task = $tasks->start(
            Given::person($request),
            TaskKind::HandOver,
            ['plan' => $plan->id, 'choices' => $request->validated()],
            HandedOver::weight($this->store->size($plan), $plan->words),
        );

        return response()->json(['id' => $task->id, 'address' => route('task', $task->id)]);
    }
}
