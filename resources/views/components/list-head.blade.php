<header class="list-head">
    <a class="name" href="{{ route('plans') }}"><x-mark :size="28"/> Embrel</a>
    <div class="acts">
        {{ $slot }}
        @auth
            <a class="pill" href="{{ route('account') }}">Account</a>
            <form method="post" action="{{ route('sign-out') }}">@csrf<button class="pill">Sign out</button></form>
        @else
            <a class="pill" href="{{ route('login') }}">Sign in</a>
            @if (\App\Store\Accounts::areOpen())<a class="primary" href="{{ route('sign-up') }}">Sign up</a>@endif
        @endauth
    </div>
</header>
