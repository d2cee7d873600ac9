<x-layouts.app title="A letter is on its way – Embrel">
    <x-list-head/>
    <main>
        <div class="sheet">
            <h1>A letter is on its way</h1>
            <p>It goes to <strong>{{ $email }}</strong>. The link in it opens your account, for {{ $hours }} hours.</p>
            <p class="hint">Nothing there after some minutes? Look among the unwanted letters, and whether the address is right.</p>
            @if ($link)
                <p>This Embrel runs on your own machine and sends no letters. The link would be this:</p>
                <div class="dialog-foot"><a class="plain" href="{{ route('sign-up') }}">Another address</a><a class="primary"
                    href="{{ $link }}">Follow the link</a></div>
            @else
                <div class="dialog-foot"><a class="plain" href="{{ route('sign-up') }}">Another address</a></div>
            @endif
        </div>
    </main>
</x-layouts.app>
