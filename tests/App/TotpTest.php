<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Proof\Base32;
use HandGarden\Account\Proof\Totp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Held to the vectors of RFC 6238, appendix B, and RFC 4648, section 10. */
final class TotpTest extends TestCase
{
    private const SECRETS = [
        'sha1' => '12345678901234567890',
        'sha256' => '12345678901234567890123456789012',
        'sha512' => '1234567890123456789012345678901234567890123456789012345678901234',
    ];

    /** @return iterable<string, array{int, string, string}> */
    public static function vectors(): iterable
    {
        $table = [
            59 => ['94287082', '46119246', '90693936'],
            1_111_111_109 => ['07081804', '68084774', '25091201'],
            1_111_111_111 => ['14050471', '67062674', '99943326'],
            1_234_567_890 => ['89005924', '91819424', '93441116'],
            2_000_000_000 => ['69279037', '90698825', '38618901'],
            20_000_000_000 => ['65353130', '77737706', '47863826'],
        ];
        foreach ($table as $second => $codes) {
            foreach (array_keys(self::SECRETS) as $place => $hash) {
                yield "$second $hash" => [$second, $hash, $codes[$place]];
            }
        }
    }

    #[DataProvider('vectors')]
    public function testGivesTheCodesOfTheRfc(int $second, string $hash, string $code): void
    {
        $step = Totp::stepAt(new \DateTimeImmutable('@'.$second));

        self::assertSame($code, Totp::code(self::SECRETS[$hash], $step, digits: 8, hash: $hash));
        self::assertSame(substr($code, 2), Totp::code(self::SECRETS[$hash], $step, hash: $hash));
    }

    public function testACodeOfHalfAMinuteOffIsTakenAndOneOfAMinuteOffIsNot(): void
    {
        $now = new \DateTimeImmutable('@1111111111');
        $step = Totp::stepAt($now);
        foreach ([-2 => false, -1 => true, 0 => true, 1 => true, 2 => false] as $off => $isTaken) {
            $code = Totp::code(self::SECRETS['sha1'], $step + $off);
            $found = Totp::matching(self::SECRETS['sha1'], $code, $now, 0);
            self::assertSame($isTaken ? $step + $off : null, $found, (string) $off);
        }
    }

    public function testACodeCountsOnce(): void
    {
        $now = new \DateTimeImmutable('@1111111111');
        $code = Totp::code(self::SECRETS['sha1'], Totp::stepAt($now));

        self::assertNull(Totp::matching(self::SECRETS['sha1'], $code, $now, Totp::stepAt($now)));
    }

    public function testBase32GivesWhatTheRfcGives(): void
    {
        $vectors = ['f' => 'MY', 'fo' => 'MZXQ', 'foo' => 'MZXW6', 'foob' => 'MZXW6YQ', 'foobar' => 'MZXW6YTBOI'];
        foreach ($vectors as $bytes => $letters) {
            self::assertSame($letters, Base32::encode($bytes));
            self::assertSame($bytes, Base32::decode(strtolower($letters)));
        }
        self::assertNull(Base32::decode('no 1'));
    }

    public function testTheAddressSaysWhoseItIs(): void
    {
        self::assertSame(
            'otpauth://totp/Hand%20Garden:maren%40quayside.example?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ'
                .'&issuer=Hand%20Garden',
            Totp::address(self::SECRETS['sha1'], 'maren@quayside.example', 'Hand Garden'),
        );
    }
}
