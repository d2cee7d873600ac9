<x-error-page title="This page was open too long">
    <p>Go back, load the page again, and do it once more. What was saved is saved.</p>
</x-error-page>
