<x-layouts.app title="Embrel: plan a piece of writing">
    <x-list-head/>
    <main class="welcome">
        <div>
            <x-said/>
            <h1>From the first loose idea to the draft</h1>
            <p>Plan an essay, a report or a book as a tree of topics. Put notes on them, move them until the order is right, and hand it over as a document with numbered headings and a contents list.</p>
            <div class="acts" style="justify-content:flex-start">
                <a class="primary" href="{{ route('sign-up') }}">Sign up</a>
                <a class="plain" href="{{ route('login') }}">Sign in</a>
                @if ($hasSample)
                    <form method="post" action="{{ route('sample') }}">@csrf<button class="plain">Look around in the sample account</button></form>
                @endif
            </div>
        </div>
        <div class="sprig" aria-hidden="true">
            @foreach ([['1', 'Why the marsh matters', 'madder', 1], ['1.1', 'A buffer against storm surge', 'madder', 0], ['1.2', 'A nursery for bass and mullet', 'madder', 0], ['2', 'The marsh before the wall', 'weld', 1], ['2.1', 'Grazing and samphire cutting', 'weld', 0], ['2.2', 'The 1887 embankment', 'weld', 0], ['3', 'Breaching the wall', 'woad', 1], ['3.1', 'Choosing the breach sites', 'woad', 0]] as [$number, $title, $dye, $main])
                <div class="line {{ $main ? 'main' : '' }}" style="--d:var(--{{ $dye }})"><span>{{ $number }}</span><span></span><span>{{ $title }}</span></div>
            @endforeach
        </div>
    </main>
</x-layouts.app>
