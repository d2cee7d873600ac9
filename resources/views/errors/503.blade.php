<x-error-page title="Back in a moment">
    <p>Embrel is being looked after. What was saved is saved.</p>
</x-error-page>
