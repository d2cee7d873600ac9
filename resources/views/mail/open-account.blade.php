Someone, most likely you, signs up at Embrel with this address. This link opens the account:

{!! $link !!}

It works for {{ $hours }} hours. If it was not you, do nothing: no account is made.
