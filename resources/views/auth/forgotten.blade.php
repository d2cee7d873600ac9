<x-layouts.app title="Forgotten password – Embrel">
    <x-list-head/>
    <main>
        <form class="sheet" method="post" action="{{ route('forgotten') }}">
            @csrf
            <h1>Forgotten password</h1>
            <x-said/>
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required autofocus
                hint="We send a link that lets you choose a new password."/>
            <div class="dialog-foot"><a class="plain" href="{{ route('login') }}">Back</a><button
                class="primary">Send the link</button></div>
        </form>
    </main>
</x-layouts.app>
