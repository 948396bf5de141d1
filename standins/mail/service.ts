import express from 'express';
import { simpleParser, type AddressObject } from 'mailparser';
import type { Server } from 'node:http';
import { SMTPServer } from 'smtp-server';
import { mailPage } from './page';

/** A mail as the stand-in keeps it. */
export interface TakenMail {
  readonly messageId: string;
  readonly to: string;
  readonly from: string;
  readonly replyTo: string;
  readonly subject: string;
  readonly text: string;
  readonly html: string;
  readonly attachments: readonly { readonly name: string; readonly bytes: number }[];
  readonly cameAt: string;
}

export interface MailStandIn {
  /** What came in, oldest first. */
  readonly mails: readonly TakenMail[];
  readonly smtpPort: number;
  readonly page: Server;
  /** How it takes what comes: as it should, not for the moment, or not at all. */
  mood: Mood;
  readonly stop: () => Promise<void>;
}
export type Mood = 'well' | 'busy' | 'refuses';

/** It is a stand-in with a small memory: the oldest go. */
const MOST_KEPT = 500;

const written = (address: AddressObject | AddressObject[] | undefined): string =>
  [address ?? []]
    .flat()
    .map(({ text }) => text)
    .join(', ');

/** A mail server that delivers nothing: takes what comes over SMTP on one port, shows it on a page on another. Both listen on this machine only. */
export async function startMail(ports: { readonly smtp: number; readonly page: number }): Promise<MailStandIn> {
  const mails: TakenMail[] = [];
  const smtp = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onData: (stream, _session, done) => {
      simpleParser(stream).then(
        (mail) => {
          if (standIn.mood !== 'well') {
            done(Object.assign(new Error('not now'), { responseCode: standIn.mood === 'busy' ? 451 : 550 }));
            return;
          }
          mails.push({
            messageId: mail.messageId ?? '',
            to: written(mail.to),
            from: written(mail.from),
            replyTo: written(mail.replyTo),
            subject: mail.subject ?? '',
            text: mail.text ?? '',
            html: typeof mail.html === 'string' ? mail.html : '',
            attachments: mail.attachments.map(({ filename, size }) => ({ name: filename ?? '', bytes: size })),
            cameAt: new Date().toISOString(),
          });
          mails.splice(0, mails.length - MOST_KEPT);
          done();
        },
        (error: unknown) => {
          done(error instanceof Error ? error : new Error('not a mail'));
        },
      );
    },
  });
  await new Promise<void>((resolve) => smtp.listen(ports.smtp, '127.0.0.1', resolve));

  const app = express();
  app.get('/', (_request, response) => {
    response.type('html').send(mailPage());
  });
  app.get('/mails', (_request, response) => {
    response.json({ mails });
  });
  const page = await new Promise<Server>((resolve) => {
    const server = app.listen(ports.page, '127.0.0.1', () => {
      resolve(server);
    });
  });
  const bound = smtp.server.address();
  const standIn: MailStandIn = {
    mails,
    smtpPort: typeof bound === 'object' && bound !== null ? bound.port : ports.smtp,
    page,
    mood: 'well',
    stop: async () => {
      await new Promise<void>((resolve) => {
        smtp.close(() => {
          resolve();
        });
      });
      await new Promise((resolve) => page.close(resolve));
    },
  };
  return standIn;
}
