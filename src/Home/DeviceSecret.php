<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What a device shows to be known. Of the secret only a hash is kept, and every now and then it gets another one. */
#[ORM\Embeddable]
class DeviceSecret
{
    /** Days after which it gets another one. */
    public const DAYS = 30;
    private const TOGETHER_MINUTES = 10;

    #[ORM\Column(length: 64)]
    private string $secretHash;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
    private \DateTimeImmutable $secretSince;

    /** The secret before, for one more use: the answer that brought the new one may have been lost. */
    #[ORM\Column(length: 64, nullable: true)]
    private ?string $previousHash = null;

    public function __construct(\DateTimeImmutable $since)
    {
        $this->secretSince = $since;
        $this->forget();
    }

    /** @return string a new secret, which is shown once; the one before opens once more */
    public function renew(\DateTimeImmutable $now): string
    {
        $secret = bin2hex(random_bytes(32));
        $this->previousHash = $this->secretHash;
        $this->secretHash = self::hash($secret);
        $this->secretSince = $now;

        return $secret;
    }

    /** Nothing opens it until there is another one: this one nobody has seen. */
    public function forget(): void
    {
        $this->secretHash = self::hash(bin2hex(random_bytes(32)));
        $this->previousHash = null;
    }

    /**
     * A secret was shown. After the new one has come the one before opens nothing more; the one before opens once.
     *
     * @return bool whether it has to have another one now
     */
    public function wasShown(#[\SensitiveParameter] string $secret, \DateTimeImmutable $now): bool
    {
        if (self::hash($secret) === $this->previousHash) {
            if ($now < $this->secretSince->modify('+'.self::TOGETHER_MINUTES.' minutes')) {
                return false; // several requests went out together, the new one is on its way
            }
            $this->forget(); // it never came

            return true;
        }
        $this->previousHash = null;

        return $this->secretSince < $now->modify('-'.self::DAYS.' days');
    }

    public static function hash(#[\SensitiveParameter] string $secret): string
    {
        return hash('sha256', 'home|'.$secret);
    }
}
