<x-error-page title="This is not for you to do">
    <p>{{ $exception->getMessage() !== '' ? $exception->getMessage() : 'What you asked for is for others.' }}</p>
</x-error-page>
