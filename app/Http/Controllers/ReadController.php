<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AlonePage;
use App\Http\Given;
use App\Http\Middleware\ByLink;
use App\Models\Link;
use App\Models\Picture;
use App\Rules\Id;
use App\Store\Comments;
use App\Store\HandedOver;
use App\Store\History;
use App\Store\NewIds;
use App\Store\PlanPictures;
use App\Store\PlanStore;
use App\Store\ReadPlan;
use Embrel\Limits;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Plan\Shown;
use Embrel\Writer\Format;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The pages of a plan for who comes by its link, with or without an account (ByLink has let them in). */
final class ReadController
{
    public function __construct(private readonly PlanStore $store) {}

    public function outline(Request $request): View
    {
        $read = new ReadPlan(ByLink::link($request), $this->store);

        return $this->page($request, 'outline', $read, ['rows' => $read->rows(), 'loose' => $read->rows(CorePlan::TRAY)]);
    }

    public function map(Request $request): View
    {
        $arrangement = Given::text($request, 'as') ?: 'both';
        $read = new ReadPlan(ByLink::link($request), $this->store);

        return $this->page($request, 'map', $read, ['svg' => $read->map($arrangement), 'arrangement' => $arrangement]);
    }

    /** The map made of pixels. */
    public function mapPicture(Request $request, string $end, string $type): StreamedResponse
    {
        $read = new ReadPlan(ByLink::link($request), $this->store);
        $format = Format::from($type);
        $choices = $read->mapChoices(Given::text($request, 'as') ?: 'both', scale: max(1, min(4, $request->integer('scale', 2))));

        return response()->stream(static function () use ($read, $choices, $format): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('The answer cannot be written.');
            HandedOver::write($read->plan, $choices, $format, $out);
        }, 200, ['Content-Type' => $format->mediaType()]);
    }

    public function draft(Request $request): View
    {
        $read = new ReadPlan(ByLink::link($request), $this->store);

        return $this->page($request, 'draft', $read, [
            'rows' => $read->rows(),
            'notes' => $read->notes(),
            'comments' => $read->comments(self::own($request)),
            'name' => Given::before('name', self::text($request, 'reader.name') ?: $request->user()?->name),
        ]);
    }

    /** Who comments by a link gives a name. */
    public function comment(Request $request, string $end): RedirectResponse
    {
        $link = ByLink::link($request);
        abort_unless($link->role->mayComment(), 403, 'This link is for reading.');
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'body' => ['required', 'string', 'max:' . Limits::COMMENT],
                'topic' => ['required', new Id()],
            ],
            ['name.required' => 'Say who you are.', 'body.required' => 'Write something first.'],
        );
        $shown = Shown::of($this->store->load($link->plan), $link->shows_loose, $link->shows_asides);
        abort_unless($shown->has($given['topic']), 404);
        $id = (new NewIds())->next();
        Comments::say($link->plan, $given['name'], $id, $given['topic'], $given['body']);
        $request->session()->put('reader.name', $given['name']);
        $request->session()->put('reader.comments', [...self::own($request), $id]);

        return redirect()->to(route('read.draft', $end) . "#t{$given['topic']}")->with('said', 'Your comment is with the plan.');
    }

    /** @return list<string> what was said in this session */
    private static function own(Request $request): array
    {
        $own = $request->session()->get('reader.comments', []);

        return \is_array($own) ? array_values(array_filter($own, is_string(...))) : [];
    }

    private static function text(Request $request, string $key): string
    {
        $value = $request->session()->get($key);

        return \is_string($value) ? $value : '';
    }

    public function pages(Request $request): View
    {
        $read = new ReadPlan(ByLink::link($request), $this->store);
        [$pages, $count] = $read->pages();

        return $this->page($request, 'pages', $read, ['pages' => $pages, 'count' => $count]);
    }

    /** The page that stands alone, for sites that the owner lets show it within theirs. */
    public function alone(Request $request): Response
    {
        $link = ByLink::link($request);
        $read = new ReadPlan($link, $this->store);

        return AlonePage::of($read->plan, $read->choices(), false, $link->framers === '' ? "'none'" : $link->framers);
    }

    public function picture(Request $request, string $end, string $picture): Response
    {
        $link = ByLink::link($request);
        $kept = Picture::query()->where('plan_id', $link->plan_id)->where('id', $picture)->first() ?? abort(404);
        $bytes = (new PlanPictures($link->plan_id))->bytes($picture) ?? abort(404);

        return new Response($bytes, 200, ['Content-Type' => $kept->type]);
    }

    /** Opens a link that has a password, for this session. */
    public function password(Request $request, string $end): RedirectResponse
    {
        $link = ByLink::link($request);
        if ($link->password !== null && !Hash::check(Given::text($request, 'password'), $link->password)) {
            throw ValidationException::withMessages(['password' => 'This is not the password.']);
        }
        $request->session()->put("link.{$link->id}", hash('sha256', (string) $link->password));

        return redirect()->route('read', $end);
    }

    /** A copy of one's own, of what the link shows; the plan's owner has to allow it. */
    public function copy(Request $request, string $end, History $history): RedirectResponse
    {
        $link = ByLink::link($request);
        abort_unless($link->copies, 403, 'The owner of this plan lets nobody make a copy by this link.');
        $user = $request->user();
        if ($user === null) {
            $request->session()->put('url.intended', route('read', $end));

            return redirect()->route('login');
        }
        $shown = Shown::of($this->store->load($link->plan, true), $link->shows_loose, $link->shows_asides);

        return redirect()->route('plan', $history->duplicate($link->plan, $user, 'copy', $shown));
    }

    /** @param array<string, mixed> $shown */
    private function page(Request $request, string $view, ReadPlan $read, array $shown): View
    {
        $link = ByLink::link($request);
        $around = ['link' => $link, 'plan' => $link->plan, 'end' => $request->route('end'), 'current' => $view, 'strip' => $read->strip()];

        return view("read.{$view}", $shown + $around);
    }
}
