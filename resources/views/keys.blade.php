<x-layouts.app title="Keys – Embrel">
    <x-list-head/>
    <main class="sheet"><h1>All the keys</h1><x-keys-table/></main>
</x-layouts.app>
