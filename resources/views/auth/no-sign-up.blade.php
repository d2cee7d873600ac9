<x-layouts.app title="Sign up – Embrel">
    <x-list-head/>
    <main>
        <div class="sheet">
            <h1>Accounts are not open to everybody here</h1>
            @if (\App\SignIn\Organisation::isSet())
                <p>Sign in through {{ config('embrel.organisation.name') }}, and your account is made on the way.</p>
            @elseif (\App\Store\Accounts::areByInvitation())
                <p>Whoever is asked into a plan gets a letter, and makes an account by its link.</p>
            @else
                <p>Ask whoever looks after Embrel here.</p>
            @endif
            <div class="dialog-foot"><a class="primary" href="{{ route('login') }}">Sign in</a></div>
        </div>
    </main>
</x-layouts.app>
