package sparen.standin;

import io.netty.channel.ChannelDuplexHandler;
import io.netty.channel.ChannelHandler;
import io.netty.channel.ChannelHandlerContext;
import io.netty.channel.ChannelPromise;
import io.netty.util.ReferenceCountUtil;
import java.util.concurrent.atomic.AtomicInteger;

/** Cuts the connection in the middle of things: before a request is heard, or before its answer is told. */
public final class Cutter {
    private static final int NEVER = Integer.MAX_VALUE;

    private final AtomicInteger left = new AtomicInteger(NEVER);
    private volatile boolean losesAnswer;
    private volatile Runnable instead;

    /**
     * Lets some requests through and cuts at the next one.
     *
     * @param requests how many
     * @param answer whether the request is still carried out, and only its answer is lost
     */
    public void cutAfter(int requests, boolean answer) {
        losesAnswer = answer;
        instead = null;
        left.set(requests);
    }

    /**
     * Lets some requests through and lets something happen before the next one is heard, in place of a cut.
     *
     * @param requests how many
     * @param happens what happens while the request waits
     */
    public void meanwhileAfter(int requests, Runnable happens) {
        instead = happens;
        left.set(requests);
    }

    /** Cuts no more. */
    public void mend() {
        left.set(NEVER);
    }

    ChannelHandler handler() {
        return new ChannelDuplexHandler() {
            private boolean cutsNow;

            @Override
            public void channelRead(ChannelHandlerContext context, Object message) {
                if (left.get() != NEVER && left.getAndDecrement() == 0) {
                    left.set(NEVER);
                    if (instead != null) {
                        instead.run();
                        context.fireChannelRead(message);
                        return;
                    }
                    if (!losesAnswer) {
                        ReferenceCountUtil.release(message);
                        context.close();
                        return;
                    }
                    cutsNow = true;
                }
                context.fireChannelRead(message);
            }

            @Override
            public void write(ChannelHandlerContext context, Object message, ChannelPromise promise) {
                if (cutsNow) {
                    ReferenceCountUtil.release(message);
                    context.close(promise);
                    return;
                }
                context.write(message, promise);
            }
        };
    }
}
