<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/** Secrets that have to be read again lie in the database under a key that does not. */
final readonly class Sealed
{
    public function __construct(
        #[\SensitiveParameter]
        private string $appSecret,
    ) {
    }

    public function seal(#[\SensitiveParameter] string $secret): string
    {
        $nonce = random_bytes(\SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);

        return base64_encode($nonce.sodium_crypto_secretbox($secret, $nonce, $this->key()));
    }

    /** Null: it was sealed under another key, or is none. */
    public function open(string $sealed): ?string
    {
        $bytes = (string) base64_decode($sealed, true);
        if (\strlen($bytes) <= \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES) {
            return null;
        }
        $secret = sodium_crypto_secretbox_open(
            substr($bytes, \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            substr($bytes, 0, \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            $this->key(),
        );

        return false === $secret ? null : $secret;
    }

    private function key(): string
    {
        return hash_hkdf('sha256', $this->appSecret, \SODIUM_CRYPTO_SECRETBOX_KEYBYTES, 'second factor');
    }
}
