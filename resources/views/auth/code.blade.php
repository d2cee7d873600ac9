<x-layouts.app title="The second step – Embrel">
    <x-list-head/>
    <main>
        <form class="sheet" method="post" action="{{ route('sign-in.code') }}">
            @csrf
            <h1>The second step</h1>
            <x-field name="code" label="Code" autocomplete="one-time-code" inputmode="text" spellcheck="false" maxlength="40" required autofocus
                hint="The six digits that your device shows now. Where it is not at hand, one of your codes on paper."/>
            <div class="dialog-foot"><a class="plain" href="{{ route('login') }}">Back</a><button class="primary">Sign in</button></div>
        </form>
    </main>
</x-layouts.app>
