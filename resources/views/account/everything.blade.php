<x-layouts.app title="Everything of yours – Embrel">
    <x-list-head/>
    <main class="sheet" x-data="everything" data-address="{{ $address }}" data-says="{{ isset($comesIn) ? 'The plans are being taken in.' : 'The zip is being made.' }}">
        <h1>Everything of yours</h1>
        <p role="status" x-text="says">{{ isset($comesIn) ? 'The plans are being taken in.' : 'The zip is being made.' }}</p>
        <progress class="w-full" x-bind:value="done" max="100" aria-label="How far it is"></progress>
        <div class="dialog-foot"><a class="plain" href="{{ route('account') }}">Back to the account</a><a class="primary" x-show="isDone"
            x-bind:href="file">{{ isset($comesIn) ? 'Look at the plans' : 'Save the zip' }}</a></div>
    </main>
</x-layouts.app>
