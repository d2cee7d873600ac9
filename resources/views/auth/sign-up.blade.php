<x-layouts.app title="Sign up – Embrel">
    <x-list-head/>
    <main>
        <form class="sheet" method="post" action="{{ route('sign-up') }}">
            @csrf
            <h1>Sign up</h1>
            <x-field name="name" label="Your name" autocomplete="name" required autofocus
                hint="It stands as the author on what you hand over."/>
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required/>
            <x-field name="password" label="Password" type="password" autocomplete="new-password" required minlength="8"
                hint="At least 8 characters."/>
            <input type="hidden" name="time_zone" data-time-zone>
            <div class="dialog-foot"><a class="plain" href="{{ route('login') }}">I have an account</a><button
                class="primary">Sign up</button></div>
        </form>
    </main>
</x-layouts.app>
