Someone, most likely you, signs up at Embrel with this address. There is an account for it already, and nothing was changed.

Sign in: {!! route('login') !!}
A new password: {!! route('forgotten') !!}
