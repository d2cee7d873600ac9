<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Codes\Base32;
use Embrel\Codes\Recovery;
use Embrel\Codes\Totp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Codes for signing in, by the vectors of their standards. */
final class CodesTest extends TestCase
{
    /** RFC 4648, section 10. */
    public function testBase32IsThatOfTheStandard(): void
    {
        $vectors = [
            '' => '',
            'f' => 'MY',
            'fo' => 'MZXQ',
            'foo' => 'MZXW6',
            'foob' => 'MZXW6YQ',
            'fooba' => 'MZXW6YTB',
            'foobar' => 'MZXW6YTBOI',
        ];
        foreach ($vectors as $bytes => $text) {
            self::assertSame($text, Base32::encode($bytes));
            self::assertSame($bytes, Base32::decode($text));
            self::assertSame($bytes, Base32::decode(strtolower(chunk_split($text, 4, ' ')) . '=='));
        }
        self::assertNull(Base32::decode('MZXW1'));
        mt_srand(7);
        for ($i = 0; $i < 300; ++$i) {
            $bytes = implode('', array_map(static fn(): string => \chr(mt_rand(0, 255)), range(0, $i % 40)));
            self::assertSame($bytes, Base32::decode(Base32::encode($bytes)));
        }
    }

    /** RFC 4226, appendix D. */
    public function testHotpIsThatOfTheStandard(): void
    {
        $codes = ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'];
        self::assertSame($codes, array_map((new Totp('12345678901234567890'))->code(...), range(0, 9)));
    }

    /** @return iterable<string, array{int, string, string, string}> RFC 6238, appendix B: time, code, hash, secret */
    public static function vectors(): iterable
    {
        $secrets = [
            'sha1' => '12345678901234567890',
            'sha256' => '12345678901234567890123456789012',
            'sha512' => '1234567890123456789012345678901234567890123456789012345678901234',
        ];
        $codes = [
            59 => ['94287082', '46119246', '90693936'],
            1_111_111_109 => ['07081804', '68084774', '25091201'],
            1_111_111_111 => ['14050471', '67062674', '99943326'],
            1_234_567_890 => ['89005924', '91819424', '93441116'],
            2_000_000_000 => ['69279037', '90698825', '38618901'],
            20_000_000_000 => ['65353130', '77737706', '47863826'],
        ];
        foreach ($codes as $time => $of) {
            foreach (array_keys($secrets) as $i => $hash) {
                yield "{$time}, {$hash}" => [$time, $of[$i], $hash, $secrets[$hash]];
            }
        }
    }

    #[DataProvider('vectors')]
    public function testTotpIsThatOfTheStandard(int $time, string $code, string $hash, string $secret): void
    {
        self::assertSame($code, (new Totp($secret))->code(Totp::step($time), 8, $hash));
    }

    public function testACodeIsTakenOnceAndForAMoment(): void
    {
        $totp = new Totp('12345678901234567890');
        $now = 1_234_567_890;
        $code = $totp->code(Totp::step($now));
        $step = $totp->stepOf(substr($code, 0, 3) . ' ' . substr($code, 3), $now);
        self::assertSame(Totp::step($now), $step, 'With a space, as devices show it.');
        self::assertNull($totp->stepOf($code, $now, $step), 'Not twice.');
        self::assertSame($step, $totp->stepOf($code, $now + Totp::STEP), 'A clock may be half a minute off, either way.');
        self::assertSame($step, $totp->stepOf($code, $now - Totp::STEP));
        self::assertNull($totp->stepOf($code, $now + 2 * Totp::STEP));
        foreach (['', '12345', '1234567', 'abcdef', str_repeat('1', 4000)] as $none) {
            self::assertNull($totp->stepOf($none, $now));
        }
    }

    public function testTheAddressOfASecretNamesWhoseItIs(): void
    {
        self::assertSame(
            'otpauth://totp/Embrel%3Aanna%40example.org?secret=MZXW6YTBOI&issuer=Embrel&digits=6&period=30',
            (new Totp('foobar'))->address('Embrel', 'anna@example.org'),
        );
    }

    public function testRecoveryCodesAreReadHoweverTheyAreTyped(): void
    {
        $code = Recovery::code('abcdef');
        self::assertMatchesRegularExpression('/\A[a-z2-7]{5}-[a-z2-7]{5}\z/', $code);
        self::assertSame($code, Recovery::spelt(' ' . strtoupper(str_replace('-', ' ', $code)) . "\n"));
        self::assertNotSame($code, Recovery::code('abcdeg'));
        self::assertSame('--', Recovery::spelt('') . '-');
    }
}
