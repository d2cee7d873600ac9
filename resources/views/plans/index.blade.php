@php
    $zone = auth()->user()->time_zone;
    $changed = static function ($at) use ($zone) {
        $then = $at->setTimezone($zone);
        $now = now($zone);
        return match (true) {
            $then->diffInMinutes($now) < 60 => 'changed ' . max(1, (int) $then->diffInMinutes($now)) . ' min ago',
            $then->isSameDay($now) => 'changed today at ' . $then->format('H:i'),
            $then->isSameDay($now->copy()->subDay()) => 'changed yesterday',
            $then->diffInDays($now) < 7 => 'changed on ' . $then->format('l'),
            default => 'changed on ' . $then->format('j F' . ($then->year === $now->year ? '' : ' Y')),
        };
    };
@endphp
<x-layouts.app title="Plans – Embrel">
    <x-list-head/>
    <div class="list-wrap">
        <div class="shelves">
            <nav aria-label="Shelves">
                <a href="{{ route('plans') }}" @if ($shelf === \App\Store\Shelf::All && $subject === '' && $tag === '' && $found === null) aria-current="page" @endif>All plans
                    <em>{{ $counts['all'] }}</em></a>
                @if ($counts['shared'] > 0)
                    <a href="{{ route('plans', ['shelf' => 'shared']) }}" @if ($shelf === \App\Store\Shelf::Shared) aria-current="page" @endif>Shared
                        with me <em>{{ $counts['shared'] }}</em></a>
                @endif
                <a href="{{ route('plans', ['shelf' => 'put-away']) }}" @if ($shelf === \App\Store\Shelf::PutAway) aria-current="page" @endif>Put away
                    <em>{{ $counts['putAway'] }}</em></a>
                @if ($tags)
                    <h2>Tags</h2>
                    @foreach ($tags as $name => $count)
                        <a href="{{ route('plans', ['tag' => $name]) }}" @if ($tag === (string) $name) aria-current="page" @endif>{{ $name }}
                            <em>{{ $count }}</em></a>
                    @endforeach
                @endif
                @if ($subjects)
                    <h2>Subjects</h2>
                    @foreach ($subjects as $name => $count)
                        <a href="{{ route('plans', ['subject' => $name]) }}" @if ($subject === $name) aria-current="page" @endif>{{ $name }}
                            <em>{{ $count }}</em></a>
                    @endforeach
                @endif
            </nav>
        </div>
        <main>
            <h1 class="visually-hidden">Plans</h1>
            @if (session('deleted'))
                <div class="said mb-4" role="status"><span>“{{ session('deleted')['title'] }}” is deleted. It is kept for 30 days under Put
                    away.</span>
                    <form method="post" action="{{ route('plan.restore', session('deleted')['id']) }}">@csrf<button
                        class="link">Undo</button></form></div>
            @endif
            <div class="said-room"><x-said/></div>
            @if ($notices !== [])
                <section class="for-you" aria-labelledby="for-you-head">
                    <h2 id="for-you-head">For you</h2>
                    <ul>@foreach ($notices as $notice)<li><a href="{{ route('plan', $notice['plan']) }}#comment={{ $notice['comment'] }}">{{
                        $notice['says'] }} in “{{ $notice['title'] }}”</a></li>@endforeach</ul>
                    <form method="post" action="{{ route('notices.seen') }}">@csrf<button class="link">I have seen all of these</button></form>
                </section>
            @endif
            @foreach ($offers as $offer)
                <div class="said mb-4" role="status"><span>{{ $offer->owner->name ?? 'Its owner' }} would hand “{{ $offer->title }}” over to
                    you: it would be yours.</span>
                    <form class="flex gap-3" method="post" action="{{ route('plan.offer-answer', $offer) }}">@csrf<button class="link"
                        name="accept" value="1">Take it</button><button class="link" name="accept" value="0">No</button></form></div>
            @endforeach
            @if ($shelf === \App\Store\Shelf::All && $found === null)
                <form method="post" action="{{ route('plans') }}" x-data="start">
                    @csrf
                    <div class="start">
                        <input name="title" aria-label="What are you going to write?" placeholder="What are you going to write?"
                            maxlength="1000" required value="{{ \App\Http\Given::before('title') }}" autocomplete="off" autofocus>
                        <button class="primary">Start a plan</button>
                        <button class="plain" type="button" x-on:click="togglePatterns" x-bind:aria-expanded="choosing"
                            aria-controls="patterns">From a pattern</button>
                        <a class="plain" href="{{ route('intake') }}">From a file</a>
                    </div>
                    @error('pattern')<p class="error mb-3" role="alert">{{ $message }}</p>@enderror
                    @error('title')<p class="error mb-3" role="alert">{{ $message }}</p>@enderror
                    <fieldset id="patterns" class="patterns mb-4" x-show="choosing" x-cloak hidden x-bind:hidden="!choosing">
                        <legend class="legend mb-2">Start with the sections of</legend>
                        @foreach ($patterns as $pattern)
                            <x-pattern-choice :pattern="$pattern" x-bind:disabled="!choosing">@if ($pattern['own'])<button
                                class="link remove-pattern" form="remove-{{ $pattern['id'] }}"
                                aria-label="Remove the pattern {{ $pattern['name'] }}">Remove</button>@endif</x-pattern-choice>
                        @endforeach
                    </fieldset>
                </form>
                @foreach (array_filter($patterns, static fn (array $one): bool => $one['own']) as $pattern)
                    <form id="remove-{{ $pattern['id'] }}" method="post" action="{{ route('pattern', $pattern['id']) }}" hidden>@csrf
                        @method('DELETE')</form>
                @endforeach
            @endif
            <div class="list-tools">
                <form class="finder" action="{{ route('plans') }}" role="search"><input type="search" name="find" class="box" maxlength="200"
                    aria-label="Find in all plans" placeholder="Find in all plans" value="{{ $wanted }}"><button
                    class="plain">Find</button></form>
                @if ($found === null && count($plans) > 1)
                    <form class="order" action="{{ route('plans') }}">@foreach (['shelf' => $shelf === \App\Store\Shelf::All ? '' : $shelf->value,
                        'subject' => $subject, 'tag' => $tag] as $name => $value)@if ($value !== '')<input type="hidden" name="{{ $name }}"
                        value="{{ $value }}">@endif @endforeach<label>Order <select name="order" class="box" data-sends>
                        @foreach (\App\Store\PlanOrder::cases() as $one)<option value="{{ $one->value }}"
                        @selected($one === $order)>{{ $one->label() }}</option>@endforeach</select></label><noscript><button
                        class="plain">Order</button></noscript></form>
                    <button class="plain" type="button" id="choose-plans" aria-expanded="false" aria-controls="several">Choose
                        several</button>
                @endif
            </div>
            @if ($errors->hasAny(['tag', 'plans']))<p class="error mb-3" role="alert">{{ $errors->first('tag') ?: $errors->first('plans') }}</p>@endif
            @if ($found === null && count($plans) > 1)
                <form class="several" id="several" method="post" action="{{ route('plans.several') }}" hidden aria-label="Several plans">
                    @csrf
                    <span role="status" id="several-count">None chosen</span>
                    <button class="link" type="button" id="choose-all">Choose all</button>
                    <button class="plain" name="act"
                        value="{{ $shelf === \App\Store\Shelf::PutAway ? 'take-out' : 'put-away' }}">{{ $shelf === \App\Store\Shelf::PutAway ? 'Take out again' : 'Put away' }}</button>
                    <input class="box" name="tag" aria-label="Tag" placeholder="Tag" maxlength="60" list="known-tags"
                        autocomplete="off"><datalist id="known-tags">@foreach ($tags as $name => $count)<option
                        value="{{ $name }}">@endforeach</datalist>
                    <button class="plain" name="act" value="tag">Put the tag on</button>
                    <button class="plain" name="act" value="untag">Take it off</button>
                </form>
            @endif
            @if ($found !== null)
                <h2 class="found-head">{{ $found === [] ? 'Nothing found' : (count($found) === 1 ? 'Found in one plan'
                    : 'Found in ' . count($found) . ' plans') }}: “{{ $wanted }}” <a class="link" href="{{ route('plans') }}">All plans</a></h2>
                @foreach ($found as ['plan' => $plan, 'hits' => $hits, 'more' => $more])
                    <article class="found-plan">
                        <h3><a href="{{ route('plan', $plan) }}">{{ $plan->title }}</a></h3>
                        <ul>@foreach ($hits as $hit)<li><a
                            href="{{ $hit['in'] === 'source' ? route('plan.sources', $plan) : route('plan', $plan) . ($hit['in'] === 'title'
                            ? '' : '#' . $hit['in'] . '=' . $hit['topic']) }}"><span class="found-in">{{ ['title' => 'Title', 'topic' => 'Topic',
                            'note' => $hit['topic'] === \Embrel\Plan\Plan::ROOT ? 'Opening note'
                            : 'Note of ' . \Illuminate\Support\Str::limit($hit['title'] === '' ? 'an untitled topic' : $hit['title'], 60),
                            'source' => 'Source'][$hit['in']] }}</span>
                            <span>{{ $hit['text'][0] }}@if ($hit['text'][1] !== '')<mark>{{ $hit['text'][1] }}</mark>@endif{{ $hit['text'][2] }}</span></a></li>@endforeach</ul>
                        @if ($more > 0)<p class="hint">And {{ number_format($more) }} more in this plan.</p>@endif
                    </article>
                @endforeach
            @endif
            @forelse ($found === null ? $plans : [] as $plan)
                <article class="plan-card" @unless ($plan->deleted_at) data-map="{{ route('plan.small-map', $plan) }}?r={{ $plan->revision }}" @endunless>
                    <div>
                        @unless ($plan->deleted_at)<label class="choose-plan" hidden><input type="checkbox" form="several" name="plans[]"
                            value="{{ $plan->id }}" aria-label="Choose {{ $plan->title }}"></label>@endunless
                        <h2>@if ($plan->deleted_at){{ $plan->title }}@else<a
                            href="{{ route('plan', $plan) }}">{{ $plan->title }}</a>@endif</h2>
                        <p>{{ ucfirst($plan->form) }}{{ $plan->subject === '' ? '' : ' · ' . $plan->subject }} ·
                            {{ $plan->deleted_at
                            ? 'deleted; kept until ' . $plan->deleted_at->addDays(30)->setTimezone($zone)->format('j F')
                            : $changed($plan->changed_at) }}</p>
                        @if ($shelf === \App\Store\Shelf::Shared)<p>{{ $plan->owner->name ?? 'Its owner' }} shares it with you</p>@endif
                        @isset ($news[$plan->id])
                            @php($new = $news[$plan->id])
                            <p class="is-new"><span>{{ implode(' and ', array_filter([
                                $new['changes'] > 0 ? number_format($new['changes']) . ' new ' . ($new['changes'] === 1 ? 'change' : 'changes') : '',
                                $new['comments'] > 0 ? number_format($new['comments']) . ' new ' . ($new['comments'] === 1 ? 'comment' : 'comments') : ''])) }}</span>{{
                                $new['by'] === [] ? '' : ' by ' . implode(', ', array_slice($new['by'], 0, 3)) . (count($new['by']) > 3 ? ' and others' : '') }}</p>
                        @endisset
                        @if ($tagged[$plan->id] ?? [])<p class="tags">@foreach ($tagged[$plan->id] as $one)<a
                            href="{{ route('plans', ['tag' => $one]) }}">{{ $one }}</a>@endforeach</p>@endif
                    </div>
                    <div class="how-far">
                        <div class="share" aria-hidden="true">@foreach ($plan->strip ?? [] as $section)<i
                            style="--d:{{ str_starts_with($section['dye'], '#') ? $section['dye']
                            : 'var(--' . $section['dye'] . ')' }};--share:{{ $section['share'] }};--w:{{ $section['filled'] }}"></i>@endforeach</div>
                        <div class="counts"><span>{{ number_format($plan->words) }}{{ $plan->target_words
                            ? ' of ' . number_format($plan->target_words) : '' }}
                            words</span><span>{{ $plan->due_on ? 'due ' . $plan->due_on->format('j F') : '' }}</span></div>
                    </div>
                    <div class="card-acts">
                        @if ($shelf === \App\Store\Shelf::Shared)
                            <form method="post" action="{{ route('plan.duplicate', $plan) }}">@csrf<button class="ico" title="Duplicate"
                                aria-label="Duplicate {{ $plan->title }}"><x-icon name="copy"/></button></form>
                            <form method="post" action="{{ route('plan.leave', $plan) }}">@csrf @method('DELETE')<button class="ico"
                                title="Leave" aria-label="Leave {{ $plan->title }}"><x-icon name="log-out"/></button></form>
                        @elseif ($plan->deleted_at)
                            <form method="post" action="{{ route('plan.restore', $plan->id) }}">@csrf<button class="ico" title="Bring back"
                                aria-label="Bring back {{ $plan->title }}"><x-icon name="archive-restore"/></button></form>
                        @else
                            <button class="ico" type="button" data-opens="rename-{{ $plan->id }}" title="Rename"
                                aria-label="Rename {{ $plan->title }}"><x-icon name="pencil"/></button>
                            <form method="post" action="{{ route('plan.duplicate', $plan) }}">@csrf<button class="ico" title="Duplicate"
                                aria-label="Duplicate {{ $plan->title }}"><x-icon name="copy"/></button></form>
                            <form method="post" action="{{ route('plan', $plan) }}">@csrf @method('PATCH')<input type="hidden"
                                name="put_away" value="{{ $plan->put_away_at ? 0 : 1 }}"><button class="ico"
                                title="{{ $plan->put_away_at ? 'Take out again' : 'Put away' }}"
                                aria-label="{{ $plan->put_away_at ? 'Take out again' : 'Put away' }} {{ $plan->title }}"><x-icon
                                :name="$plan->put_away_at ? 'archive-restore' : 'archive'"/></button></form>
                            <form method="post" action="{{ route('plan', $plan) }}">@csrf @method('DELETE')<button class="ico"
                                title="Delete" aria-label="Delete {{ $plan->title }}"><x-icon name="trash-2"/></button></form>
                        @endif
                    </div>
                    @unless ($plan->deleted_at || $shelf === \App\Store\Shelf::Shared)
                        <dialog id="rename-{{ $plan->id }}" aria-label="Rename">
                            <form method="post" action="{{ route('plan', $plan) }}">
                                @csrf @method('PATCH')
                                <h2>Rename</h2>
                                <input class="box" name="title" value="{{ $plan->title }}" aria-label="Title" maxlength="1000" required>
                                <div class="dialog-foot"><button class="plain" type="button" data-closes>Cancel</button><button
                                    class="primary">Rename</button></div>
                            </form>
                        </dialog>
                    @endunless
                </article>
            @empty
                @if ($found === null)<p class="nothing">{{ $shelf === \App\Store\Shelf::PutAway ? 'Nothing is put away.'
                    : 'Nothing here yet. Name what you are going to write, and start.' }}</p>@endif
            @endforelse
        </main>
    </div>
</x-layouts.app>
