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
                    @foreach ($zones as $zone)<option @selected($zone === \App\Http\Given::before('time_zone', $user->time_zone))>{{ $zone }}</option>@endforeach
                </select>
            </div>
            <p class="hint">You sign in with {{ $user->email }}.</p>
            <div class="dialog-foot"><button class="primary">Save</button></div>
        </form>
        <section>
            <h2>Password</h2>
            <form class="grid gap-4" method="post" action="{{ route('account.password') }}">
                @csrf @method('PUT')
                <x-field name="current_password" label="Password now" type="password" autocomplete="current-password" required/>
                <x-field name="password" label="New password" type="password" autocomplete="new-password" required minlength="8"/>
                <div class="dialog-foot"><button class="plain">Change the password</button></div>
            </form>
        </section>
        <section>
            <h2>Everything of yours</h2>
            <p>All plans in one zip: each as an outline file, which keeps everything and can be taken in again, and as a document.</p>
            <p><a class="plain" href="{{ route('account.download') }}">Download everything</a></p>
        </section>
        <section>
            <h2>Delete the account</h2>
            <p>This deletes the account and all its plans, at once and for good. Download everything first if you may want it.</p>
            <form class="grid gap-4" method="post" action="{{ route('account') }}">
                @csrf @method('DELETE')
                <x-field name="password_to_delete" label="Your password, to be sure" type="password" autocomplete="current-password" required/>
                <div class="dialog-foot"><button class="plain danger">Delete the account and all plans</button></div>
            </form>
        </section>
    </main>
</x-layouts.app>
