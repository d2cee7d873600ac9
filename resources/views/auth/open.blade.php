<x-layouts.app title="Open your account – Embrel">
    <x-list-head/>
    <main>
        <form class="sheet" method="post">
            @csrf
            @if ($name === null)
                <h1>This link is too old</h1>
                <p>It was used already, or its letter is older than {{ $hours }} hours.</p>
                <div class="dialog-foot"><a class="plain" href="{{ route('login') }}">Sign in</a><a class="primary"
                    href="{{ route('sign-up') }}">Sign up</a></div>
            @else
                <h1>Welcome, {{ $name }}</h1>
                <p>Your address is confirmed. The account opens with the password that you chose.</p>
                <label class="check"><input type="checkbox" name="stay" value="1"> Stay signed in on this device</label>
                <div class="dialog-foot"><button class="primary">Open your account</button></div>
            @endif
        </form>
    </main>
</x-layouts.app>
