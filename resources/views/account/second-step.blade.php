<x-layouts.app title="The second step – Embrel" :scripts="['resources/js/app.js', 'resources/js/second-step.js']">
    <x-list-head/>
    <main class="sheet">
        <h1>Sign in in two steps</h1>
        <p>After the password you are asked for a code that your phone, or another device of yours, shows for half a minute. Any program for
            such codes will do.</p>
        <ol class="two-steps">
            <li><p>Have the program read this picture, or type the key below into it.</p>
                <div class="code-picture" data-address="{{ $address }}" role="img" aria-label="The key as a picture, for the camera of your device"></div>
                <p class="code-key"><span class="visually-hidden">The key: </span><code>{{ trim(chunk_split($secret, 4, ' ')) }}</code></p>
                <p class="hint">By time, six digits.</p></li>
            <li><form class="grid gap-4" method="post" action="{{ route('account.second-step') }}">
                @csrf
                <x-field name="code" label="Type the code that it shows now" autocomplete="one-time-code" inputmode="numeric" maxlength="12"
                    required autofocus/>
                <div class="dialog-foot"><a class="plain" href="{{ route('account') }}">Not now</a><button
                    class="primary">Turn it on</button></div>
            </form></li>
        </ol>
    </main>
</x-layouts.app>
