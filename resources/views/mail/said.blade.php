@foreach ($notices as $notice)
{!! $notice['says'] !!} in “{!! $notice['title'] !!}”:

{!! preg_replace('/^/m', '    ', $notice['body']) !!}

{!! route('plan', $notice['plan']) !!}#comment={{ $notice['comment'] }}

@endforeach
--
When letters come is set in your account: {!! route('account') !!}
To get no more letters about comments: {!! $off !!}
