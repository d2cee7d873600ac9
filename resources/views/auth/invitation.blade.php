@php
    $by = $invitation?->by->name ?? 'Its owner';
    $title = ($invitation?->plan->title ?? '') === '' ? 'Untitled' : $invitation->plan->title;
@endphp
<x-layouts.app title="An invitation – Embrel">
    <x-list-head/>
    <main>
        <div class="sheet">
            @if ($invitation === null)
                <h1>This invitation is over</h1>
                <p>It was used or taken back, a newer letter was sent, or it is older than {{ \App\Store\Invitations::HOLDS }} days. Who asked
                    you can send another.</p>
                <div class="dialog-foot"><a class="primary" href="{{ route('plans') }}">My plans</a></div>
            @elseif ($user !== null && $user->email !== $invitation->email)
                <h1>This invitation is for another address</h1>
                <p>It was sent to <strong>{{ $invitation->email }}</strong>, and you are signed in as <strong>{{ $user->email }}</strong>. Sign
                    out and come back by the letter, or ask {{ $by }} to invite this address.</p>
                <form class="dialog-foot" method="post" action="{{ route('sign-out') }}">@csrf<a class="plain"
                    href="{{ route('plans') }}">My plans</a><button class="primary">Sign out</button></form>
            @else
                <h1>{{ $by }} {{ $invitation->hands_out ? 'gives you a copy of' : 'asks you to' }} “{{ $title }}”</h1>
                <p>{{ $invitation->hands_out ? "The copy is yours to work in. {$by} sees how far it is, and nothing else of it."
                    : "You {$invitation->role->may()} it." }}</p>
                @if ($user !== null)
                    <form class="dialog-foot" method="post" action="{{ route('invitation', $token) }}">@csrf<a class="plain"
                        href="{{ route('plans') }}">Not now</a><button class="primary">Open the plan</button></form>
                @elseif ($isKnown)
                    <p>There is an account for {{ $invitation->email }}. Sign in, and you are there.</p>
                    <div class="dialog-foot"><a class="primary" href="{{ route('login') }}">Sign in</a></div>
                @elseif (! \App\Store\Accounts::areByInvitation())
                    <p>There is no account for {{ $invitation->email }} yet, and accounts are not made by invitations here.
                        {{ \App\SignIn\Organisation::isSet() ? 'Sign in through ' . config('embrel.organisation.name') . ', and come back by the letter.'
                            : 'Ask whoever looks after Embrel.' }}</p>
                    <div class="dialog-foot"><a class="primary" href="{{ route('login') }}">Sign in</a></div>
                @else
                    <form class="grid gap-4" method="post" action="{{ route('invitation', $token) }}">
                        @csrf
                        <p>Make an account for <strong>{{ $invitation->email }}</strong> on the way:</p>
                        <x-field name="name" label="Your name" autocomplete="name" required/>
                        <x-field name="password" label="Password" type="password" autocomplete="new-password" required minlength="8"
                            hint="At least 8 characters."/>
                        <input type="hidden" name="time_zone" data-time-zone>
                        <div class="dialog-foot"><button class="primary">Open the plan</button></div>
                    </form>
                @endif
            @endif
        </div>
    </main>
</x-layouts.app>
