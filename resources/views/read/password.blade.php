<x-layouts.app title="With a password – Embrel" robots="noindex, nofollow">
    <x-list-head/>
    <main>
        <form class="sheet" method="post" action="{{ route('read.password', $end) }}">
            @csrf
            <h1>This plan has a password</h1>
            <p>Whoever gave you the link can tell it.</p>
            <x-field name="password" label="Password" type="password" autocomplete="off" required autofocus/>
            <div class="dialog-foot"><button class="primary">Open</button></div>
        </form>
    </main>
</x-layouts.app>
