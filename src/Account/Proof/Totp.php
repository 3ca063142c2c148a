<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/**
 * Codes that a secret and the time give: a time-based one-time password.
 *
 * @see https://www.rfc-editor.org/rfc/rfc6238 over RFC 4226 (HOTP)
 */
final class Totp
{
    public const STEP_SECONDS = 30;
    public const DIGITS = 6;
    public const SECRET_BYTES = 20;
    /** A clock may be so many steps off; RFC 6238, section 5.2, advises one. */
    private const SKEW_STEPS = 1;

    public static function stepAt(\DateTimeImmutable $at): int
    {
        return intdiv($at->getTimestamp(), self::STEP_SECONDS);
    }

    /**
     * @param string $secret in bytes
     * @param string $hash   sha1, as every application for it knows; others for the vectors of the RFC
     */
    public static function code(
        string $secret,
        int $step,
        int $digits = self::DIGITS,
        string $hash = 'sha1',
    ): string {
        $mac = hash_hmac($hash, pack('J', $step), $secret, binary: true);
        $offset = \ord($mac[\strlen($mac) - 1]) & 0x0F;
        /** @var array{1: int} $four */
        $four = unpack('N', substr($mac, $offset, 4));
        $number = ($four[1] & 0x7FFFFFFF) % 10 ** $digits;

        return str_pad((string) $number, $digits, '0', \STR_PAD_LEFT);
    }

    /**
     * The step that a code belongs to; null: none near now, or one that was used.
     *
     * @param int $used the newest step whose code was taken
     */
    public static function matching(string $secret, string $typed, \DateTimeImmutable $now, int $used): ?int
    {
        $code = (string) preg_replace('/\s/', '', $typed);
        $found = null;
        for ($off = -self::SKEW_STEPS; $off <= self::SKEW_STEPS; ++$off) {
            $step = self::stepAt($now) + $off;
            if (hash_equals(self::code($secret, $step), $code) && $step > $used) {
                $found = $step;
            }
        }

        return $found;
    }

    /** What an application for such codes reads. */
    public static function address(string $secret, string $account, string $issuer): string
    {
        return \sprintf(
            'otpauth://totp/%s:%s?secret=%s&issuer=%s',
            rawurlencode($issuer),
            rawurlencode($account),
            Base32::encode($secret),
            rawurlencode($issuer),
        );
    }
}
