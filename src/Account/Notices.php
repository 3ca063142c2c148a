<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Web\Wording;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/**
 * Mail to the people of a clinic, where a way for it is set (MAILER_DSN): what was changed of their account. Nothing
 * waits for it, nothing hangs on it, and it names no client.
 */
final class Notices
{
    /** @var list<Email> */
    private array $waiting = [];

    public function __construct(
        private readonly MailerInterface $mailer,
        private readonly Wording $wording,
        private readonly LoggerInterface $logger,
        private readonly string $publicUrl,
        #[Autowire('%env(HG_MAIL_FROM)%')]
        private readonly string $from,
    ) {
    }

    /**
     * @param string                $what code of the words, under `mail.`
     * @param array<string, string> $with
     */
    public function send(Staff $to, string $what, array $with = []): void
    {
        $with += ['name' => $to->name, 'house' => '' === $this->publicUrl ? '' : $this->publicUrl];
        $this->waiting[] = (new Email())
            ->from(new Address($this->from, 'Hand Garden'))
            ->to(new Address($to->email, $to->name))
            ->subject($this->wording->word('mail.'.$what.'.subject', $with))
            ->text($this->wording->word('mail.'.$what.'.text', $with));
    }

    /** After what they tell of is kept, and after the answer has gone out. */
    #[AsEventListener(KernelEvents::TERMINATE)]
    public function sendWaiting(): void
    {
        $waiting = $this->waiting;
        $this->waiting = [];
        foreach ($waiting as $mail) {
            try {
                $this->mailer->send($mail);
            } catch (TransportExceptionInterface $e) {
                $this->logger->error('A mail could not be sent.', ['exception' => $e]);
            }
        }
    }
}
