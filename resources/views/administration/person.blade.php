@php
    $act = static fn(string $name): string => route("administration.{$name}", $person);
@endphp
<x-layouts.app title="{{ $person->name }} – Embrel">
    <x-list-head/>
    <main class="sheet">
        <p><a class="link" href="{{ route('administration') }}">Administration</a></p>
        <h1>{{ $person->name }}</h1>
        <x-said/>
        @error('account')<p class="error" role="alert">{{ $message }}</p>@enderror
        <p>{{ $person->email }}, {{ $plans === 1 ? 'one plan' : "{$plans} plans" }}, {{ \App\Store\Quota::said($used) }} of pictures and files.
            @if ($person->is_administrator)Looks after Embrel here.@endif
            @unless ($person->has_password)Signs in through {{ config('embrel.organisation.name') }}.@endunless</p>
        <form class="grid gap-4" method="post" action="{{ route('administration.person', $person) }}">
            @csrf @method('PUT')
            <x-field name="quota" label="Room for pictures and files, in MB" type="number" min="1" max="10000000"
                :value="$person->quota === null ? '' : (string) intdiv($person->quota, 1024 ** 2)"
                hint="{{ config('embrel.quota.bytes') > 0 ? 'Empty: ' . \App\Store\Quota::said((int) config('embrel.quota.bytes')) . ', as for everybody.'
                    : 'Empty: as much as there is room for.' }}"/>
            <div class="dialog-foot"><button class="primary">Save</button></div>
        </form>
        <section>
            <h2>Signing in</h2>
            <form class="dialog-foot" method="post" action="{{ $act('sign-out') }}">@csrf<button class="plain">Sign out everywhere</button></form>
            @if (\App\SignIn\SecondStep::isOn($person))
                <form method="post" action="{{ $act('second-step') }}">@csrf @method('DELETE')<p>Their device and their codes on paper are lost?
                    Make sure that it is them who asks.</p><div class="dialog-foot"><button class="plain">Turn the second step off</button></div></form>
            @endif
        </section>
        @unless ($isMe)
            <section>
                <h2>{{ $person->closed_at === null ? 'Close the account' : 'Open the account' }}</h2>
                @if ($person->closed_at === null)
                    <form method="post" action="{{ $act('closed') }}">@csrf<p>They are signed out and cannot come in. Nothing is deleted: plans that
                        are shared stay with whoever shares them.</p><div class="dialog-foot"><button class="plain danger">Close the account</button></div></form>
                @else
                    <form method="post" action="{{ $act('closed') }}">@csrf @method('DELETE')<div class="dialog-foot"><button
                        class="plain">Open the account</button></div></form>
                @endif
            </section>
        @endunless
    </main>
</x-layouts.app>
