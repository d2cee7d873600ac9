<figure class="map-sheet"><img src="{{ $address }}" alt="The map of {{ $title }}"></figure>
