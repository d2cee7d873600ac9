<x-layouts.app title="No letters – Embrel" robots="noindex, nofollow">
    <x-list-head/>
    <main>
        <div class="sheet">
            @if ($isDone)
                <h1>No more letters</h1>
                <p>Nothing about comments is sent to you any more. What was said still waits on the list of your plans, and letters can be
                    switched on again in your account.</p>
            @else
                <h1>No letters about comments?</h1>
                <p>What was said still waits on the list of your plans.</p>
                <form class="dialog-foot" method="post" action="{{ $address }}"><button class="primary">Send me no more letters</button></form>
            @endif
        </div>
    </main>
</x-layouts.app>
