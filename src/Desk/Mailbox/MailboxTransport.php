<?php

declare(strict_types=1);

namespace HandGarden\Desk\Mailbox;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Web\Clock;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Email;

/** Keeps mail in the house: `MAILER_DSN=house://mailbox`. */
final class MailboxTransport extends AbstractTransport
{
    public const SCHEME = 'house';

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Clock $clock,
    ) {
        parent::__construct();
    }

    public function __toString(): string
    {
        return self::SCHEME.'://mailbox';
    }

    protected function doSend(SentMessage $message): void
    {
        $mail = $message->getOriginalMessage();
        if (!$mail instanceof Email) {
            return;
        }
        foreach ($mail->getTo() as $to) {
            $this->entities->persist(new KeptMail(
                $to->getAddress(),
                mb_substr((string) $mail->getSubject(), 0, 200),
                (string) $mail->getTextBody(),
                $this->clock->now(),
            ));
        }
        $this->entities->flush();
    }
}
