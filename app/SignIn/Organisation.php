<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Models\User;
use App\Rules\Address;
use App\Store\Transaction;
use Firebase\JWT\JWK;
use Firebase\JWT\JWT;
use GuzzleHttp\Client;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;
use League\OAuth2\Client\Provider\Exception\IdentityProviderException;
use League\OAuth2\Client\Provider\GenericProvider;

/**
 * Signing in by an organisation’s own accounts (OpenID Connect Core 1.0, the code flow with PKCE): a school, a university or a company
 * vouches for who somebody is. What it says is believed only where it is signed by it, for us, for this attempt, and not long ago.
 */
final class Organisation
{
    private const HOLDS = 3600;
    private const PATIENCE = 8;
    /** In seconds: clocks may differ. */
    private const LEEWAY = 30;
    private const FAILED = 'Signing in by your organisation did not work. Try again; nothing was changed.';

    public static function isSet(): bool
    {
        return config('embrel.organisation.issuer') !== '' && config('embrel.organisation.client') !== '';
    }

    /**
     * Where the person is to go, and what is to be known when they come back.
     *
     * @return array{address: string, state: string, nonce: string, verifier: string}
     *
     * @throws NotVouchedFor
     */
    public function begin(): array
    {
        $nonce = Str::random(32);
        $provider = $this->provider();
        $address = $provider->getAuthorizationUrl(['scope' => 'openid profile email', 'nonce' => $nonce]);

        return [
            'address' => $address,
            'state' => (string) $provider->getState(),
            'nonce' => $nonce,
            'verifier' => (string) $provider->getPkceCode(),
        ];
    }

    /**
     * Whose account it is: the one that came by this identity before; else the one of the same address, where the organisation has
     * confirmed it; else a new one.
     *
     * @throws NotVouchedFor
     */
    public function person(string $code, string $nonce, string $verifier): User
    {
        $provider = $this->provider();
        $provider->setPkceCode($verifier);
        try {
            $values = $provider->getAccessToken('authorization_code', ['code' => $code])->getValues();
        } catch (IdentityProviderException|\UnexpectedValueException|\GuzzleHttp\Exception\GuzzleException $why) {
            throw new NotVouchedFor(self::FAILED, 0, $why);
        }
        $claims = $this->claims(\is_string($values['id_token'] ?? null) ? $values['id_token'] : '', $nonce);
        $text = static fn(string $name): string => \is_string($claims[$name] ?? null) ? trim($claims[$name]) : '';

        return $this->account(
            $text('sub'),
            Address::spelt($text('email')),
            ($claims['email_verified'] ?? false) === true,
            Str::limit($text('name') === '' ? Str::before($text('email'), '@') : $text('name'), 110, '…'),
        );
    }

    private function account(string $subject, string $email, bool $isConfirmed, string $name): User
    {
        if ($subject === '' || \strlen($subject) > 255 || preg_match('/[^\x21-\x7e]/', $subject) === 1) {
            throw new NotVouchedFor(self::FAILED);
        }
        $issuer = (string) config('embrel.organisation.issuer');

        return Transaction::of(static function () use ($issuer, $subject, $email, $isConfirmed, $name): User {
            $known = DB::table('identities')->where('issuer', $issuer)->where('subject', $subject)->lockForUpdate()->value('user_id');
            if ($known !== null) {
                return User::query()->where('id', $known)->firstOrFail();
            }
            if (!$isConfirmed || !self::isAddress($email)) {
                throw new NotVouchedFor('Your organisation has not confirmed an e-mail address of yours, and Embrel needs one.');
            }
            $same = User::query()->where('email', $email);
            $same->getQuery()->lockForUpdate();
            $user = $same->first() ?? self::newAccount($email, $name);
            DB::table('identities')->insert(['user_id' => $user->id, 'issuer' => $issuer, 'subject' => $subject, 'created_at' => now()]);

            return $user;
        });
    }

    private static function isAddress(string $email): bool
    {
        return Validator::make(['email' => $email], ['email' => Address::RULES])->passes();
    }

    private static function newAccount(string $email, string $name): User
    {
        $user = new User(['name' => $name, 'email' => $email, 'password' => Hash::make(Str::random(60))]);
        $user->forceFill(['has_password' => false])->save();

        return $user;
    }

    /**
     * What the organisation says of a person, when it may be believed (OpenID Connect Core 1.0, section 3.1.3.7).
     *
     * @return array<string, mixed>
     */
    private function claims(string $token, string $nonce): array
    {
        JWT::$leeway = self::LEEWAY;
        try {
            $claims = (array) JWT::decode($token, $this->keys($token));
        } catch (\Throwable $why) {
            throw new NotVouchedFor(self::FAILED, 0, $why);
        }
        $client = (string) config('embrel.organisation.client');
        $audience = (array) ($claims['aud'] ?? []);
        $isForUs = \in_array($client, $audience, true) && (\count($audience) === 1 || ($claims['azp'] ?? null) === $client);
        $isWell = $isForUs
            && ($claims['iss'] ?? null) === config('embrel.organisation.issuer')
            && \is_string($claims['nonce'] ?? null)
            && hash_equals($nonce, $claims['nonce'])
            && \is_int($claims['exp'] ?? null)
            && \is_int($claims['iat'] ?? null);

        return $isWell ? $claims : throw new NotVouchedFor(self::FAILED);
    }

    /**
     * The keys by which it signs; asked for anew where a token names one that is not known, which happens when it changes them.
     *
     * @return array<string, \Firebase\JWT\Key>
     */
    private function keys(string $token): array
    {
        $head = json_decode((string) base64_decode(strtr(explode('.', $token)[0], '-_', '+/'), true), true);
        $named = \is_array($head) && \is_string($head['kid'] ?? null) ? $head['kid'] : '';
        $address = $this->set()['jwks_uri'];
        $keys = Cache::get("organisation.keys.{$address}");
        $isKnown = \is_array($keys) && \in_array($named, array_column($keys['keys'] ?? [], 'kid'), true);
        // Not more than once a minute, whatever is sent here.
        if (!$isKnown && Cache::add("organisation.asked.{$address}", true, 60)) {
            $keys = self::read($address);
            Cache::put("organisation.keys.{$address}", $keys, self::HOLDS);
        }

        return JWK::parseKeySet(\is_array($keys) ? $keys : [], 'RS256');
    }

    /** @return array<string, string> where it is asked for what (OpenID Connect Discovery 1.0) */
    private function set(): array
    {
        $issuer = (string) config('embrel.organisation.issuer');
        $set = Cache::remember(
            "organisation.set.{$issuer}",
            self::HOLDS,
            static fn(): array => self::read("{$issuer}/.well-known/openid-configuration"),
        );
        foreach (['authorization_endpoint', 'token_endpoint', 'jwks_uri'] as $name) {
            \is_string($set[$name] ?? null) || throw new NotVouchedFor(self::FAILED);
        }

        return ($set['issuer'] ?? null) === $issuer ? $set : throw new NotVouchedFor(self::FAILED);
    }

    /** @return array<string, mixed> */
    private static function read(string $address): array
    {
        try {
            $answer = (new Client(['timeout' => self::PATIENCE, 'connect_timeout' => 3]))->get($address);
            $read = json_decode((string) $answer->getBody(), true, 32, JSON_THROW_ON_ERROR);
        } catch (\GuzzleHttp\Exception\GuzzleException|\JsonException $why) {
            throw new NotVouchedFor(self::FAILED, 0, $why);
        }

        return \is_array($read) ? $read : throw new NotVouchedFor(self::FAILED);
    }

    private function provider(): GenericProvider
    {
        $set = $this->set();

        return new GenericProvider([
            'clientId' => config('embrel.organisation.client'),
            'clientSecret' => config('embrel.organisation.secret'),
            'redirectUri' => route('sign-in.organisation.back'),
            'urlAuthorize' => $set['authorization_endpoint'],
            'urlAccessToken' => $set['token_endpoint'],
            'urlResourceOwnerDetails' => '',
            'pkceMethod' => GenericProvider::PKCE_METHOD_S256,
            'scopeSeparator' => ' ',
            'timeout' => self::PATIENCE,
        ]);
    }
}
