<x-layouts.app :title="$title" :scripts="$scripts ?? ['resources/js/app.js']">
@php($reads = !$mayWrite())
<div id="plan" {{ $attributes->class(['plan', 'is-reading' => $reads]) }}>
    <header class="top">
        <div class="brand">
            <a href="{{ route('plans') }}" aria-label="All plans" title="All plans"><x-mark/></a>
            <button class="plan-title" id="title" type="button" popovertarget="plan-menu" title="What can be done with the plan"><span
                id="title-text">{{ $plan->title === '' ? 'Untitled' : $plan->title }}</span><x-icon name="chevron-down"
                :size="14"/></button>
            {{ $beside ?? '' }}
            @if ($reads)
                <span class="reads" title="{{ $plan->owner->name ?? 'Its owner' }} can let you write.">You can read this plan</span>
            @endif
        </div>
        <nav class="modes" aria-label="Views">
            @foreach ($views() as $view => $one)
                <a href="{{ $one['address'] }}" data-view="{{ $view }}" @if ($one['isCurrent']) aria-current="page"
                    @endif>{{ $one['name'] }}</a>
            @endforeach
        </nav>
        <div class="acts" @unless ($isLive()) data-steps="{{ route('plan', $plan) }}" data-base="{{ $plan->revision }}" @endunless>
            <div class="icons">
                @foreach (['undo' => 'Undo', 'redo' => 'Redo'] as $step => $name)
                    @php($says = $steps[$step] === null ? "Nothing to {$step}" : rtrim("{$name}: {$steps[$step]}", ': '))
                    <button class="ico" id="{{ $step }}" type="button" title="{{ $says }}"
                        aria-label="{{ $steps[$step] === null ? $name : $says }}" @disabled($steps[$step] === null)><x-icon
                        :name="$step . '-2'"/></button>
                @endforeach
                @if ($isLive())
                    <button class="ico" id="open-find" type="button" title="Find (Ctrl F)" aria-label="Find"><x-icon
                        name="search"/></button>
                @else
                    <a class="ico" href="{{ $doing('find') }}" title="Find in the plan" aria-label="Find"><x-icon name="search"/></a>
                @endif
            </div>
            @if ($isLive())<div class="here-now" id="here-now" role="group" aria-label="Here now" hidden></div>@endif
            @if ($isLive())
                <button class="pill" type="button" id="open-share">Share</button>
            @else
                <a class="pill share-away" href="{{ $doing('share') }}">Share</a>
            @endif
            <a class="primary" href="{{ route('hand-over', $plan) }}" @if ($current === 'hand-over') aria-current="page"
                @endif>Hand over</a>
        </div>
        <div class="menu plan-menu" id="plan-menu" popover role="menu" aria-label="The plan">
            <a role="menuitem" href="{{ $doing('properties') }}" data-command="properties" @if ($reads) hidden @endif>Properties…
                <small id="menu-properties">{{ $properties() }}</small></a>
            <a role="menuitem" href="{{ $doing('labels') }}" data-command="labels" @if ($reads) hidden @endif>Labels…
                <small id="menu-labels">{{ $labels() }}</small></a>
            <a role="menuitem" href="{{ $doing('openingNote') }}" data-command="openingNote">Opening note</a>
            <a role="menuitem" href="{{ $doing('askNext') }}" data-command="askNext" @if ($reads) hidden @endif>Questions about what comes next…</a>
            <hr @if ($reads) hidden @endif>
            <a role="menuitem" href="{{ route('intake', ['into' => $plan->id]) }}" @if ($reads) hidden @endif>Bring in a file or text…</a>
            <a role="menuitem" href="{{ $doing('bringInPlan') }}" data-command="bringInPlan" @if ($reads) hidden @endif>Bring in another plan…</a>
            <a role="menuitem" href="{{ $doing('setPattern') }}" data-command="setPattern" @if ($reads) hidden @endif>Set a pattern at its end…</a>
            <hr>
            <a role="menuitem" href="{{ route('plan.history', $plan) }}" @if ($current === 'history') aria-current="page" @endif>History
                <small id="menu-changes">{{ number_format($plan->revision - 1) }}
                {{ $plan->revision === 2 ? 'change' : 'changes' }}</small></a>
            <a role="menuitem" href="{{ $doing('keepVersion') }}" data-command="keepVersion" @if ($reads) hidden @endif>Keep this version…</a>
            <a role="menuitem" href="{{ $doing('keepPattern') }}" data-command="keepPattern">Keep as a pattern…</a>
            <a role="menuitem" href="{{ route('plan.present', $plan) }}">Present</a>
            <hr>
            <a role="menuitem" href="{{ $doing('share') }}" data-command="share">Share…</a>
            @can('manage', $plan)<a role="menuitem" href="{{ route('plan.handouts', $plan) }}">Give out as copies…</a>@endcan
            <a role="menuitem" href="{{ $doing('votes') }}" data-command="votes">Votes…</a>
            <a role="menuitem" href="{{ $doing('showKeys') }}" data-command="showKeys">All keys <small>?</small></a>
            <a role="menuitem" href="{{ route('plans') }}">All plans</a>
        </div>
    </header>
    @if ($isLive())
        <nav class="strip" id="strip" aria-label="Main sections"></nav>
    @else
        <x-strip :plan="$plan" :strip="$plan->strip ?? []"/>
    @endif
    {{ $slot }}
</div>
{{ $after ?? '' }}
</x-layouts.app>
