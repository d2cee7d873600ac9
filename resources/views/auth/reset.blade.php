<x-layouts.app title="A new password – Embrel">
    <x-list-head/>
    <main>
        <form class="sheet" method="post" action="{{ route('reset') }}">
            @csrf
            <h1>A new password</h1>
            <input type="hidden" name="token" value="{{ $token }}">
            <x-field name="email" label="E-mail address" type="email" :value="$email" autocomplete="username" required/>
            <x-field name="password" label="New password" type="password" autocomplete="new-password" required minlength="8"
                hint="At least 8 characters."/>
            <div class="dialog-foot"><button class="primary">Change the password</button></div>
        </form>
    </main>
</x-layouts.app>
