<x-layouts.app title="Account – Embrel">
    <x-list-head/>
    <main class="sheet">
        <h1>Account</h1>
        <x-said/>
        <form class="grid gap-4" method="post" action="{{ route('account') }}">
            @csrf @method('PUT')
            <x-field name="name" label="Your name" :value="$user->name" autocomplete="name" required/>
            <div class="field">
                <label for="field-time_zone">Time zone</label>
                <select id="field-time_zone" name="time_zone">
                    @foreach ($zones as $zone)<option
                        @selected($zone === \App\Http\Given::before('time_zone', $user->time_zone))>{{ $zone }}</option>@endforeach
                </select>
            </div>
            <p class="hint">You sign in with {{ $user->email }}.</p>
            <div class="dialog-foot"><button class="primary">Save</button></div>
        </form>
        @if (auth()->user()->is_administrator)
            <section>
                <h2>Administration</h2>
                <p>You look after accounts here. <a class="link" href="{{ route('administration') }}">People, room and running work</a></p>
            </section>
        @endif
        @if ($user->has_password)
        <section>
            <h2>Password</h2>
            <form class="grid gap-4" method="post" action="{{ route('account.password') }}">
                @csrf @method('PUT')
                <x-field name="current_password" label="Password now" type="password" autocomplete="current-password" required/>
                <x-field name="password" label="New password" type="password" autocomplete="new-password" required minlength="8"/>
                <div class="dialog-foot"><button class="plain">Change the password</button></div>
            </form>
        </section>
        @include('account.two-steps')
        @else
        <section>
            <h2>Password</h2>
            <p>You sign in through {{ config('embrel.organisation.name') }}. A password of your own comes by “<a class="link"
                href="{{ route('forgotten') }}">Forgotten password</a>” when you are signed out.</p>
        </section>
        @endif
        <section>
            <h2>Letters about comments</h2>
            <form class="grid gap-3" method="post" action="{{ route('account.letters') }}">
                @csrf @method('PUT')
                @foreach (\App\Store\NoticeKind::cases() as $kind)
                    <div class="choice"><label for="letters-{{ $kind->value }}">{{ $kind->label() }}</label><select
                        id="letters-{{ $kind->value }}" name="{{ $kind->value }}">@foreach (\App\Store\Letters::cases() as $letters)<option
                        value="{{ $letters->value }}" @selected($user->letters($kind) === $letters)>{{ $letters->label() }}</option>@endforeach</select></div>
                @endforeach
                <div class="dialog-foot"><button class="plain">Save</button></div>
            </form>
        </section>
        <section>
            <h2>Where you are signed in</h2>
            <ul class="devices">
                @foreach ($devices as $device)
                    <li>
                        <div><strong>{{ $device['name'] }}</strong>@if ($device['isThis']) <span class="pill">this one</span>@endif
                            <small class="hint">{{ $device['isThis'] ? 'In use now'
                                : 'Used last on ' . \Illuminate\Support\Carbon::createFromTimestamp($device['used'],
                                $user->time_zone)->isoFormat('D MMMM YYYY, HH:mm') }}@if ($device['address'] !== ''), from
                                {{ $device['address'] }}@endif</small></div>
                        @unless ($device['isThis'])
                            <form method="post" action="{{ route('account.devices') }}">@csrf @method('DELETE')<input type="hidden"
                                name="device" value="{{ $device['key'] }}"><button class="plain"
                                aria-label="Sign out {{ $device['name'] }}">Sign out</button></form>
                        @endunless
                    </li>
                @endforeach
            </ul>
            @if (count($devices) > 1)
                <form method="post" action="{{ route('account.devices') }}">@csrf @method('DELETE')<div class="dialog-foot"><button
                    class="plain">Sign out everywhere else</button></div></form>
            @endif
        </section>
        <section>
            <h2>Everything of yours</h2>
            <p>All plans in one zip: each as an outline file and as a document, and whole, with all that has happened to it, for another Embrel.</p>
            <form class="grid gap-3" method="get" action="{{ route('account.download') }}">
                <label class="check"><input type="checkbox" name="every" value="1"> In every other format too, which takes longer</label>
                <div class="dialog-foot"><button class="plain">Download everything</button></div>
            </form>
            <form class="grid gap-3" method="post" action="{{ route('account.everything') }}" enctype="multipart/form-data">
                @csrf
                <div class="field">
                    <label for="everything">A zip from another Embrel</label>
                    <input id="everything" type="file" name="everything" accept=".zip" required @error('everything') aria-invalid="true"
                        aria-describedby="error-everything" @enderror>
                    <small class="hint">Its plans come beside those that are here, with their history.</small>
                    @error('everything')<p class="error" id="error-everything" role="alert">{{ $message }}</p>@enderror
                </div>
                <div class="dialog-foot"><button class="plain">Take everything in</button></div>
            </form>
        </section>
        <section>
            <h2>Delete the account</h2>
            <p>This deletes the account and all its plans, at once and for good. Download everything first if you may want it.</p>
            <form class="grid gap-4" method="post" action="{{ route('account') }}">
                @csrf @method('DELETE')
                @if ($shared !== [])
                    <fieldset class="grid gap-2">
                        <legend>Plans that others share</legend>
                        <ul class="hint">
                            @foreach ($shared as [$plan, $heir])
                                <li>{{ $plan->title === '' ? 'Untitled' : $plan->title }}, which would go to {{ $heir->name }}</li>
                            @endforeach
                        </ul>
                        <label class="choice"><span>Hand them on</span><input type="radio" name="shared" value="hand-on"></label>
                        <label class="choice"><span>Delete them too</span><input type="radio" name="shared" value="take-along"></label>
                        @error('shared')<p class="error" role="alert">{{ $message }}</p>@enderror
                    </fieldset>
                @endif
                @if ($user->has_password)
                    <x-field name="password_to_delete" label="Your password, to be sure" type="password" autocomplete="current-password"
                        required/>
                @else
                    <x-field name="address_to_delete" label="Your address, to be sure" type="email" autocomplete="off" required/>
                @endif
                <div class="dialog-foot"><button class="plain danger">Delete the account and all plans</button></div>
            </form>
        </section>
    </main>
</x-layouts.app>
