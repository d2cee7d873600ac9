<x-layouts.app title="Sign in – Embrel">
    <x-list-head/>
    <main>
        <div class="sheet">
            <x-said/>
            <form class="grid gap-4" method="post" action="{{ route('login') }}">
                @csrf
                <h1>Sign in</h1>
                <x-field name="email" label="E-mail address" type="email" autocomplete="username" required autofocus/>
                <x-field name="password" label="Password" type="password" autocomplete="current-password" required/>
                <label class="check"><input type="checkbox" name="stay" value="1"
                    @checked(\App\Http\Given::before('stay', null))> Stay signed in on this device</label>
                <div class="dialog-foot"><a class="plain" href="{{ route('forgotten') }}">Forgotten password</a><button
                    class="primary">Sign in</button></div>
            </form>
            @if (\App\SignIn\Organisation::isSet())
                <section>
                    @error('organisation')<p class="error" role="alert">{{ $message }}</p>@enderror
                    <a class="plain w-full text-center" href="{{ route('sign-in.organisation') }}">Sign in through {{ config('embrel.organisation.name') }}</a>
                </section>
            @endif
            @if ($hasSample)
                <section><form method="post" action="{{ route('sample') }}">@csrf<button
                    class="plain w-full">Look around in the sample account</button></form></section>
            @endif
        </div>
    </main>
</x-layouts.app>
