<x-error-page title="Too often">
    <p>This was asked too often in a short time. Wait a minute, and try again.</p>
</x-error-page>
