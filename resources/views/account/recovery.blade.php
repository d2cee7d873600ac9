<x-layouts.app title="Codes on paper – Embrel">
    <x-list-head/>
    <main class="sheet">
        <h1>Your codes on paper</h1>
        <p><strong>You sign in in two steps now.</strong> When your device is lost or broken, each of these lets you in once in its place.
            They are shown now and never again: print this page or write them down, and keep them where your device is not.</p>
        <ul class="paper-codes" aria-label="Codes on paper">
            @foreach ($codes as $code)<li><code>{{ $code }}</code></li>@endforeach
        </ul>
        <div class="dialog-foot"><a class="primary" href="{{ route('account') }}">I have them</a></div>
    </main>
</x-layouts.app>
