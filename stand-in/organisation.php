<?php

declare(strict_types=1);

// An organisation that vouches for people (OpenID Connect, code flow with PKCE), with everything that one can say wrong. Called by
// serve.php with $path and $answer. Whoever asks chooses who they are; `odd` makes it lie in one way.

use Firebase\JWT\JWT;

require_once __DIR__ . '/../vendor/autoload.php';

$issuer = "http://{$_SERVER['HTTP_HOST']}/organisation";
$json = static fn(array $what, int $status = 200): true => $answer((string) json_encode($what), 'application/json', $status);
$encode = static fn(string $bytes): string => rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
$given = static fn(array $from, string $name): string => is_string($from[$name] ?? null) ? $from[$name] : '';

// A key of this process' own, made at the first start.
$file = sys_get_temp_dir() . '/embrel-organisation-' . substr(hash('sha256', __DIR__), 0, 12) . '.pem';
if (!is_file($file)) {
    openssl_pkey_export(openssl_pkey_new(['private_key_bits' => 2048, 'private_key_type' => OPENSSL_KEYTYPE_RSA]), $made);
    file_put_contents("{$file}." . getmypid(), $made);
    rename("{$file}." . getmypid(), $file);
}
$private = (string) file_get_contents($file);
$public = openssl_pkey_get_details(openssl_pkey_get_private($private));
$key = substr(hash('sha256', $public['rsa']['n']), 0, 16);
$seal = static fn(string $text): string => hash_hmac('sha256', $text, $private);

switch (substr($path, strlen('organisation/'))) {
    case '.well-known/openid-configuration':
        return $json([
            'issuer' => $issuer,
            'authorization_endpoint' => "{$issuer}/authorize",
            'token_endpoint' => "{$issuer}/token",
            'jwks_uri' => "{$issuer}/keys",
            'response_types_supported' => ['code'],
            'subject_types_supported' => ['public'],
            'id_token_signing_alg_values_supported' => ['RS256'],
        ]);
    case 'keys':
        return $json(['keys' => [[
            'kty' => 'RSA', 'use' => 'sig', 'alg' => 'RS256', 'kid' => $key,
            'n' => $encode($public['rsa']['n']), 'e' => $encode($public['rsa']['e']),
        ]]]);
    case 'authorize':
        $asked = array_map(static fn(string $name): string => $given($_GET, $name), array_combine(
            $names = ['client_id', 'redirect_uri', 'state', 'nonce', 'code_challenge'],
            $names,
        ));
        if ($_SERVER['REQUEST_METHOD'] === 'GET') {
            $h = static fn(string $text): string => htmlspecialchars($text, ENT_QUOTES | ENT_HTML5);

            return $answer('<!doctype html><html lang="en"><title>The school</title><main><h1>The school</h1><form method="post" action="?' . $h($_SERVER['QUERY_STRING'] ?? '') . '">'
                . '<p><label>Name <input name="name" value="Sam Reed"></label></p><p><label>Address <input name="email" value="sam@school.example"></label></p>'
                . '<p><label>Number <input name="sub" value="S-1"></label></p><p><button>Let me in</button> <button name="odd" value="refused">Do not</button></p></form></main></html>');
        }
        $odd = $given($_POST, 'odd');
        if ($odd === 'refused') {
            return $answer('', location: "{$asked['redirect_uri']}?error=access_denied&state={$asked['state']}");
        }
        $person = ['sub' => $given($_POST, 'sub'), 'name' => $given($_POST, 'name'), 'email' => $given($_POST, 'email'), 'odd' => $odd];
        $code = $encode((string) json_encode($asked + $person));

        return $answer('', location: "{$asked['redirect_uri']}?code={$code}." . $seal($code) . '&state=' . rawurlencode($asked['state']));
    case 'token':
        [$code, $sealed] = explode('.', $given($_POST, 'code') . '.');
        $asked = (array) json_decode((string) base64_decode(strtr($code, '-_', '+/')), true);
        $isWell = hash_equals($seal($code), $sealed)
            && $given($_POST, 'client_secret') === 'between-the-two-of-us'
            && $given($_POST, 'client_id') === $asked['client_id']
            && $given($_POST, 'redirect_uri') === $asked['redirect_uri']
            && $encode(hash('sha256', $given($_POST, 'code_verifier'), true)) === $asked['code_challenge'];
        if (!$isWell) {
            return $json(['error' => 'invalid_grant'], 400);
        }
        $odd = $asked['odd'];
        $claims = [
            'iss' => $odd === 'issuer' ? 'https://elsewhere.example' : $issuer,
            'aud' => $odd === 'audience' ? 'another' : ($odd === 'audiences' ? [$asked['client_id'], 'another'] : $asked['client_id']),
            'sub' => $asked['sub'],
            'nonce' => $odd === 'nonce' ? 'of another time' : $asked['nonce'],
            'iat' => time() - ($odd === 'late' ? 7200 : 0),
            'exp' => time() + ($odd === 'late' ? -3600 : 300),
            'name' => $asked['name'],
            'email' => $asked['email'],
            'email_verified' => $odd !== 'unconfirmed',
        ];
        $token = JWT::encode($claims, $private, 'RS256', $odd === 'unknown key' ? 'unknown' : $key);
        if ($odd === 'unsigned') {
            $token = $encode('{"alg":"none","typ":"JWT"}') . '.' . $encode((string) json_encode($claims)) . '.';
        } elseif ($odd === 'shared secret') {
            // The public key as if it were a secret that both know.
            $token = JWT::encode($claims, $public['key'], 'HS256', $key);
        } elseif ($odd === 'changed') {
            [$head, , $signature] = explode('.', $token);
            $token = "{$head}." . $encode((string) json_encode(['sub' => 'S-0', 'email' => 'head@school.example'] + $claims)) . ".{$signature}";
        }

        return $json(
            ['access_token' => 'none', 'token_type' => 'Bearer', 'expires_in' => 300] + ($odd === 'nothing' ? [] : ['id_token' => $token]),
        );
}

return $answer('There is no such page.', 'text/plain; charset=utf-8', 404);
