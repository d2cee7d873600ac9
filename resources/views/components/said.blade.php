@if (session('said'))
    <p class="said" role="status">{{ session('said') }}</p>
@endif
