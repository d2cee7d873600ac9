<x-error-page title="Nothing is here">
    <p>There is nothing at this address, or nothing that you may see. It may have been deleted, moved, or shared with somebody else.</p>
</x-error-page>
