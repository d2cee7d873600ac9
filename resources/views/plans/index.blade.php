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
                <a href="{{ route('plans') }}" @if ($shelf === 'all' && $subject === '') aria-current="page" @endif>All plans
                    <em>{{ $counts['all'] }}</em></a>
                <a href="{{ route('plans', ['shelf' => 'put-away']) }}" @if ($shelf === 'put-away') aria-current="page" @endif>Put away
                    <em>{{ $counts['putAway'] }}</em></a>
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
            <x-said/>
            @if ($shelf === 'all')
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
                    @error('title')<p class="error mb-3" role="alert">{{ $message }}</p>@enderror
                    <fieldset id="patterns" class="patterns mb-4" x-show="choosing" x-cloak hidden x-bind:hidden="!choosing">
                        <legend class="legend mb-2">Start with the sections of</legend>
                        @foreach (\Embrel\Intake\Pattern::cases() as $pattern)
                            <label><input type="radio" name="pattern" value="{{ $pattern->value }}" x-bind:disabled="!choosing">
                                <strong>{{ $pattern->label() }}</strong><small>{{ implode(' · ', $pattern->sections()) }}</small></label>
                        @endforeach
                    </fieldset>
                </form>
            @endif
            @forelse ($plans as $plan)
                <article class="plan-card">
                    <div>
                        <h2>@if ($plan->deleted_at){{ $plan->title }}@else<a
                            href="{{ route('plan', $plan) }}">{{ $plan->title }}</a>@endif</h2>
                        <p>{{ ucfirst($plan->form) }}{{ $plan->subject === '' ? '' : ' · ' . $plan->subject }} ·
                            {{ $plan->deleted_at
                            ? 'deleted; kept until ' . $plan->deleted_at->addDays(30)->setTimezone($zone)->format('j F')
                            : $changed($plan->changed_at) }}</p>
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
                        @if ($plan->deleted_at)
                            <form method="post" action="{{ route('plan.restore', $plan->id) }}">@csrf<button class="ico" title="Bring back"
                                aria-label="Bring back {{ $plan->title }}"><x-icon name="archive-restore"/></button></form>
                        @else
                            <button class="ico" type="button" data-opens="rename-{{ $plan->id }}" title="Rename"
                                aria-label="Rename {{ $plan->title }}"><x-icon name="pencil"/></button>
                            <form method="post" action="{{ route('plan', $plan) }}">@csrf @method('PATCH')<input type="hidden"
                                name="put_away" value="{{ $plan->put_away_at ? 0 : 1 }}"><button class="ico"
                                title="{{ $plan->put_away_at ? 'Take out again' : 'Put away' }}"
                                aria-label="{{ $plan->put_away_at ? 'Take out again' : 'Put away' }} {{ $plan->title }}"><x-icon
                                :name="$plan->put_away_at ? 'archive-restore' : 'archive'"/></button></form>
                            <form method="post" action="{{ route('plan', $plan) }}">@csrf @method('DELETE')<button class="ico"
                                title="Delete" aria-label="Delete {{ $plan->title }}"><x-icon name="trash-2"/></button></form>
                        @endif
                    </div>
                    @unless ($plan->deleted_at)
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
                <p class="nothing">{{ $shelf === 'put-away' ? 'Nothing is put away.'
                    : 'Nothing here yet. Name what you are going to write, and start.' }}</p>
            @endforelse
        </main>
    </div>
</x-layouts.app>
