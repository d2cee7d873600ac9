@props(['title'])
<x-layouts.app :title="$title . ' – Embrel'" robots="noindex">
    <header class="list-head"><a class="name" href="{{ url('/') }}"><x-mark :size="28"/> Embrel</a></header>
    <main>
        <div class="sheet">
            <h1>{{ $title }}</h1>
            {{ $slot }}
            <div class="dialog-foot"><a class="primary" href="{{ url('/plans') }}">My plans</a></div>
        </div>
    </main>
</x-layouts.app>
