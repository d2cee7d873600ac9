<x-error-page title="Something went wrong">
    <p>It is a fault of ours, and it was written down. What was saved is saved. Try again; if it stays, tell whoever runs this Embrel.</p>
</x-error-page>
