@props(['link', 'plan', 'end', 'current', 'strip'])
@php
    $title = $plan->title === '' ? 'Untitled' : $plan->title;
    $views = ['outline' => ['Outline', route('read', $end)], 'map' => ['Map', route('read.map', $end)],
        'draft' => ['Draft', route('read.draft', $end)], 'pages' => ['Pages', route('read.pages', $end)]];
@endphp
<x-layouts.app :title="$title . ' – Embrel'" robots="noindex, nofollow">
<div class="plan beside is-reading">
    <header class="top">
        <div class="brand">
            <a href="{{ route('welcome') }}" aria-label="Embrel" title="Embrel"><x-mark/></a>
            <span class="plan-title">{{ $title }}</span>
            <span class="reads">{{ $plan->owner->name ?? 'Its owner' }} lets you {{ $link->role->mayComment() ? 'comment' : 'read' }}</span>
        </div>
        <nav class="modes" aria-label="Views">
            @foreach ($views as $view => [$name, $address])
                <a href="{{ $address }}" @if ($view === $current) aria-current="page" @endif>{{ $name }}</a>
            @endforeach
        </nav>
        <div class="acts">
            @if ($link->copies)
                <form method="post" action="{{ route('read.copy', $end) }}">@csrf<button class="primary">Make a copy</button></form>
            @endif
        </div>
    </header>
    <x-strip :strip="$strip" :to="route('read.draft', $end) . '#t'"/>
    <main class="read-page">
        <x-said/>
        {{ $slot }}
    </main>
</div>
</x-layouts.app>
