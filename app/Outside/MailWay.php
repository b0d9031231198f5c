<?php

declare(strict_types=1);

namespace App\Outside;

use Almanac\Mailing\MailSecurity;
use App\Models\MailServer;
use Symfony\Component\Mailer\Envelope;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\Transport\Smtp\EsmtpTransport;
use Symfony\Component\Mailer\Transport\Smtp\Stream\SocketStream;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\RawMessage;

/** The way of a message to the mail server of the office (RFC 5321). */
final class MailWay
{
    /** A server that says nothing for so long is not waited for. */
    private const SECONDS = 15.0;

    /**
     * @param list<string> $to
     *
     * @throws TransportExceptionInterface when the server cannot be reached, or does not take it
     */
    public function send(MailServer $server, string $from, array $to, string $message): void
    {
        NoTransaction::assert();
        $transport = new EsmtpTransport($server->host, $server->port, $server->security === MailSecurity::Tls);
        $transport->setAutoTls($server->security === MailSecurity::StartTls)->setRequireTls($server->security !== MailSecurity::None);
        if ($server->user_name !== '') {
            $transport->setUsername($server->user_name)->setPassword($server->password);
        }
        $stream = $transport->getStream();
        if ($stream instanceof SocketStream) {
            $stream->setTimeout(self::SECONDS);
        }
        try {
            $transport->send(
                new RawMessage($message),
                new Envelope(new Address($from), array_map(fn (string $one) => new Address($one), $to)),
            );
        } finally {
            $transport->stop();
        }
    }
}
